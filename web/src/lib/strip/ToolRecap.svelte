<!-- @component Every tool that the job wants, on one list to be laid out, or printed, before the pump is opened. -->
<script lang="ts">
	import { insteadWords } from '$lib/words/steps';
	import { stationsInScope, toolsInScope, type ModelSheet } from '@exetasis/core/record';
	import { fastenersOf, keepWrench, wrenchKey } from './wrenches';
	import type { Bench } from '@exetasis/server/jobs/bench';

	interface Props {
		sheet: ModelSheet;
		job: Bench['job'];
		/** The sizes of one's own wrenches, by model and tool. */
		wrenches: Readonly<Record<string, string>>;
	}
	let { sheet, job, wrenches }: Props = $props();
	let typed = $state<Record<string, string>>({});
	let lost = $state(false);
	const keyOf = (tool: string, fastener?: string) => wrenchKey({ model: sheet.model, tool, fastener });
	const sizeOf = (tool: string, fastener?: string) =>
		typed[keyOf(tool, fastener)] ?? wrenches[keyOf(tool, fastener)] ?? '';
	async function keep(size: string, tool: string, fastener?: string) {
		typed[keyOf(tool, fastener)] = size;
		lost = !(await keepWrench({ model: sheet.model, tool, size, ...(fastener ? { fastener } : {}) }));
	}
	const opened = $derived(stationsInScope(sheet, job));
	const tools = $derived(toolsInScope(sheet, job));
	const said = { atHand: 'at hand', borrow: 'borrow it' } as const;
	const saidOf = (key: string): string => {
		const how = job.arrival.tools?.[key];
		return how === undefined ? '' : typeof how === 'string' ? said[how] : `instead: ${how.instead.toLowerCase()}`;
	};
</script>

{#snippet size(what: string, tool: string, fastener?: string)}
	<input
		class="input size"
		aria-label="Your size: {what}"
		placeholder="your size"
		maxlength="40"
		value={sizeOf(tool, fastener)}
		onchange={({ currentTarget }) => void keep(currentTarget.value, tool, fastener)}
	/>
{/snippet}

{#if tools.length > 0}<details>
		<summary>{tools.length === 1 ? '1 tool' : `${tools.length} tools`} for this job</summary>
		<ul class="list-disc pl-[1.1rem] text-[0.86rem] leading-[1.35]">
			{#each tools as { key, name, special, substitutes } (key)}
				<li>
					{name}{special ? ' (special)' : ''}{#if saidOf(key)}: <b>{saidOf(key)}</b>{/if}
					{#each fastenersOf(opened, key) as fastener (fastener.key)}
						<label class="block"
							>{fastener.short}
							{@render size(`${name}, ${fastener.short}`, key, fastener.key)}</label
						>
					{:else}{@render size(name, key)}{/each}
					{#each substitutes as other (other.name)}<span class="block text-doubt text-[0.8rem]"
							>{insteadWords(other)}</span
						>{/each}
				</li>
			{/each}
		</ul>
		{#if lost}<p class="wrong" role="alert">
				Not saved. Check the connection; at most 40 characters. Type it again.
			</p>{/if}
		<button type="button" class="btn print:hidden" onclick={() => print()}>Print the list</button>
	</details>{/if}

<style>
	summary {
		cursor: pointer;
		min-height: 36px;
		line-height: 36px;
	}
	.size {
		width: 7rem;
		min-height: 36px;
		padding: 2px 6px;
	}
</style>
