<!-- @component The shims that come nearest to a gap, of what lies in the shop's drawer. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { shimPack } from '@exetasis/core/build';
	import { parseQuantity, unitLabel } from '@exetasis/core/quantity';
	import { numberSentence, quantitySentence } from '$lib/words/problems';
	import type { LastTime } from '@exetasis/server/jobs/lastTime';
	import { drawerText, keepDrawer, readDrawer } from './shimDrawer';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		/** Keeps the pack that was chosen with the part. */
		onkeep: (words: string) => void;
	}
	let { onkeep }: Props = $props();
	const id = $props.id();

	/** How a note of a pack begins. */
	const KEPT = 'Shims:';
	const WIDEST_MM = 20;
	let drawer = $state(untrack(() => drawerText(page.data.shims ?? [])));
	let said = $state('');
	let gap = $state('');
	const before = $derived(
		(page.data as { lastTime?: LastTime }).lastTime?.notes.filter((text) => text.startsWith(KEPT)) ?? []
	);

	const read = $derived(readDrawer(drawer));
	const wanted = $derived(gap.trim() === '' ? undefined : parseQuantity(gap, format.units.length));
	const problem = $derived(
		read.kind === 'problem'
			? `“${read.text}” is not a thickness with a quantity. ${read.problem ? numberSentence(read.problem, format) : 'Write it as 0.1 × 5.'}`
			: wanted?.kind === 'problem'
				? quantitySentence(wanted.problem, format, 'Type the gap.')
				: wanted && (wanted.base < 0 || wanted.base > WIDEST_MM)
					? `Type a gap from 0 to ${format.quantity(WIDEST_MM, format.units.length)}.`
					: ''
	);
	const pack = $derived(
		!problem && read.kind === 'drawer' && wanted?.kind === 'quantity' ? shimPack(wanted.base, read.shims) : undefined
	);
	const length = (mm: number) => format.quantity(mm, format.units.length);
	const SOLID_MM = 0.005;
	const words = $derived(
		pack
			? pack.shimsMm.length === 0
				? `No shim fits; ${length(-pack.offMm)} stay open`
				: `${pack.shimsMm.map(length).join(' + ')} = ${length(pack.totalMm)}`
			: ''
	);
	async function keep() {
		if (read.kind !== 'drawer') return;
		said = (await keepDrawer(read.shims))
			? 'Stock saved.'
			: 'Stock not saved. Check the connection and your role. The values count on this page only.';
	}
</script>

<div class="flex flex-wrap items-center gap-1.5 text-[0.92rem]" role="group" aria-label="Shim pack">
	{#each before as text (text)}<p class="soft basis-full">Last rebuild: {text}</p>{/each}
	<label for="{id}-gap">End gap or movement ({unitLabel(format.units.length)})</label>
	<input id="{id}-gap" class="input w-24!" inputmode="decimal" autocomplete="off" maxlength="12" bind:value={gap} />
	<label for="{id}-drawer">In stock (mm × quantity)</label>
	<input
		id="{id}-drawer"
		class="input w-80! max-w-full"
		autocomplete="off"
		maxlength="400"
		bind:value={drawer}
		placeholder="0.1 × 5; 0.25 × 2"
		onchange={() => void keep()}
	/>
	{#if said && !problem}<p class="soft basis-full" role="status">{said}</p>{/if}
	{#if problem}<p class="wrong basis-full" role="alert">{problem}</p>
	{:else if pack}
		<p class="basis-full" role="status">
			<b class="figures">{words}</b>{Math.abs(pack.offMm) < SOLID_MM
				? ', as required.'
				: pack.offMm > 0
					? `, ${format.difference(pack.offMm, format.units.length)} too thick. It clamps before it seats. Use a thinner shim.`
					: `, ${length(-pack.offMm)} stay open.`}
			<button type="button" class="btn" onclick={() => onkeep(`${KEPT} ${words}.`)}>Save with the part</button>
		</p>
	{/if}
</div>
