<!-- @component The lowest line of the bench: what the next key or touch will do, how far the look is, and what is for all of the mat. -->
<script lang="ts">
	import Keyboard from '@lucide/svelte/icons/keyboard';
	import Layers2 from '@lucide/svelte/icons/layers-2';
	import Layers from '@lucide/svelte/icons/layers';
	import Search from '@lucide/svelte/icons/search';
	import Undo from '@lucide/svelte/icons/undo-2';
	import type { BenchState } from '$lib/log/bench.svelte';
	import { acceptAll } from './forMany';
	import { layerName, type MatLayers } from './layers.svelte';

	interface Props {
		bench: BenchState;
		/** What the next key or touch will do. */
		says: string;
		locked: boolean;
		/** The names of all columns stand over the mat. */
		named: boolean;
		layers: MatLayers;
		onshow: (which: 'find' | 'many' | 'keys') => void;
	}
	let { bench, says, locked, named = $bindable(), layers, onshow }: Props = $props();
	const parts = $derived([...bench.parts.values()]);
	const inspected = $derived(parts.filter((part) => part.inspected).length);
	const clear = $derived(acceptAll(parts));
</script>

<div class="status flex-none flex items-center gap-1.5 min-h-12 text-[0.84rem] max-[600px]:flex-wrap">
	<p
		class="says flex-1 max-[600px]:flex-[1_0_100%] min-w-0 max-h-[3.6em] overflow-hidden wrap-anywhere font-[550] leading-[1.2]"
		role="status"
		aria-label="Next step"
	>
		{says}
	</p>
	<span class="whitespace-nowrap max-[1000px]:hidden text-ink-soft"
		><b class="figures">{inspected}</b> of <b class="figures">{parts.length}</b> inspected</span
	>
	<button
		type="button"
		class="btn small"
		aria-label={bench.lastAct.length > 1 ? `Undo ${bench.lastAct.length} entries` : 'Undo'}
		onclick={() => bench.undo()}
		disabled={locked || bench.lastAct.length === 0}><Undo size={17} /> Undo</button
	>
	<button type="button" class="btn small" aria-haspopup="dialog" onclick={() => onshow('find')}
		><Search size={17} /> Find</button
	>
	<button type="button" class="btn small" disabled={locked} aria-haspopup="dialog" onclick={() => onshow('many')}
		><Layers size={17} /> Several parts</button
	>
	<button
		type="button"
		class="btn small"
		aria-label="Layer of the mat: {layerName[layers.shown]}"
		title="Layer of the mat"
		onclick={() => void layers.next()}
		><Layers2 size={17} />
		Layer: {layerName[layers.shown].toLowerCase()}{layers.failed && layers.shown === 'history'
			? ': no connection'
			: ''}</button
	>
	<button type="button" class="btn small max-[1000px]:hidden!" aria-pressed={named} onclick={() => (named = !named)}
		>Names</button
	>
	<button type="button" class="btn small max-[1000px]:hidden!" aria-haspopup="dialog" onclick={() => onshow('keys')}
		><Keyboard size={17} /> Keys</button
	>
	<button type="button" class="btn small" onclick={() => bench.record(...clear)} disabled={locked || clear.length === 0}
		>Accept {clear.length} clear</button
	>
</div>

<style>
	.btn {
		white-space: nowrap;
	}
	@media (max-width: 600px) {
		.btn {
			flex: 1 1 auto;
			padding: 0 0.3rem;
		}
		.btn :global(svg) {
			display: none;
		}
	}
</style>
