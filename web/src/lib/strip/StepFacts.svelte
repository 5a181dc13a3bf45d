<!-- @component What goes with a step: the parts that it handles, its tools with what may stand in for them, ways that differ. -->
<script lang="ts">
	import { documentsAt } from '$lib/log/documents';
	import { page } from '$app/state';
	import { fastenersOf, wrenchKey } from './wrenches';
	import { inSentence } from '$lib/words/place';
	import ToolPicture from '$lib/glyph/ToolPicture.svelte';
	import { toolShapes } from '$lib/glyph/tools';
	import DocumentLinks from '$lib/ui/DocumentLinks.svelte';
	import { insteadWords, powerWords } from '$lib/words/steps';
	import type { Policy } from '@exetasis/core/decide';
	import {
		powerOn,
		stationKeysOf,
		stationsInScope,
		staysIn,
		type ModelSheet,
		type Opening,
		type Step
	} from '@exetasis/core/record';

	interface Props {
		step: Step;
		sheet: ModelSheet;
		job: Opening;
		/** The shop's rules: the most that one person lifts, and where power tools may be used. */
		policy: Pick<Policy, 'liftAloneKg' | 'powerTools'>;
		/** Whether its parts come out or go in: other tools, and products. */
		going: 'out' | 'in';
	}
	let { step, sheet, job, policy, going }: Props = $props();
	/** The sizes of one's own wrenches, by model and tool. */
	const wrenches = $derived((page.data.wrenches ?? {}) as Readonly<Record<string, string>>);
	// By the fasteners of this step where the tool turns several groups, else of the tool itself.
	function sizeOf(tool: string): string | undefined {
		const groups = fastenersOf(stationsInScope(sheet, job), tool).filter(({ key }) => handled.includes(key));
		const own = groups.flatMap(({ key, short }) => {
			const size = wrenches[wrenchKey({ model: sheet.model, tool, fastener: key })];
			return size ? [groups.length > 1 ? `${size} (${inSentence(short)})` : size] : [];
		});
		return own.length > 0 ? own.join(', ') : wrenches[wrenchKey({ model: sheet.model, tool })];
	}
	// How a tool grips each part, where the sheet says so.
	const grips = (tool: string) =>
		parts.flatMap((part) =>
			part.tools.flatMap((other) =>
				other.tool === tool && other.how && (other.for === 'both' || other.for === going)
					? [`${inSentence(part.name)}: ${other.how}`]
					: []
			)
		);
	const handled = $derived(step.stations.flatMap((key) => stationKeysOf(sheet.subAssemblies, key)));
	const parts = $derived(stationsInScope(sheet, job).filter(({ key }) => handled.includes(key)));
	// Those of the step, and those of the parts that it handles.
	const tools = $derived.by(() => {
		const keys = new Set([
			...step.tools,
			...parts.flatMap((part) =>
				part.tools.filter((tool) => tool.for !== (going === 'out' ? 'in' : 'out')).map(({ tool }) => tool)
			)
		]);
		return sheet.tools.filter(({ key }) => keys.has(key));
	});
	// What sheet and shop say of power tools on what is turned at this step; nothing where neither says anything.
	const power = $derived(
		parts.flatMap(({ name, fastening }) => {
			const said = fastening && powerOn(fastening, policy.powerTools, going);
			return said ? [`${name}: ${powerWords(said, going)}`] : [];
		})
	);
	const lays = $derived(step.lays && sheet.assemblies.find(({ key }) => key === step.lays?.assembly));
</script>

{#if parts.some((part) => !staysIn(part)) && going === 'out'}
	<p class="leading-[1.3]">
		Comes out: {parts
			.filter((part) => !staysIn(part))
			.map(({ name, pieces, per }) => `${name}${pieces > 1 ? ` (${pieces})` : ''}${per === 'cylinder' ? ', each' : ''}`)
			.join(' · ')}
	</p>
{/if}
{#if tools.length > 0}
	<ul
		class="grid grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-x-3 gap-y-1 text-[0.88rem] leading-[1.2]"
		aria-label="Tools"
	>
		{#each tools as tool (tool.key)}
			<li class="flex items-center gap-2">
				{#if tool.kind}<ToolPicture shapes={toolShapes[tool.kind]} />{/if}
				<span>
					{tool.name}{#if sizeOf(tool.key)}&nbsp;<b>{sizeOf(tool.key)}</b>{/if}{#if grips(tool.key).length > 0}<span
							class="soft">: {grips(tool.key).join('; ')}</span
						>{/if}
					{#each tool.substitutes as other (other.name)}<span class="text-doubt block">{insteadWords(other)}</span
						>{/each}
				</span>
			</li>
		{/each}
	</ul>
{/if}
<DocumentLinks documents={documentsAt({ step: step.key, stations: step.stations })} />
{#if power.length > 0}<p class="leading-[1.3]">{power.join(' · ')}</p>{/if}
{#if lays}<p class="leading-[1.3]">
		{lays.name}: {step.lays?.up === 'mounted'
			? 'on the pump, its pressure side (P) toward you'
			: `put down with its ${step.lays?.up === 'C' ? 'crank side (C)' : 'pressure side (P)'} up`}{lays.massKg
			? `; ${lays.massKg} kg`
			: ''}
	</p>{/if}
{#if lays?.massKg && lays.massKg > policy.liftAloneKg}
	<p class="leading-[1.3] text-doubt">
		{lays.massKg} kg. More than {policy.liftAloneKg} kg, the limit of your shop for one person. Use a second person or a hoist.
	</p>
{/if}
