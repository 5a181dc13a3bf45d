<!-- @component A pump layout as one recognises it: its name, what one sees of it, and its parts in strip order. -->
<script lang="ts">
	import type { PartTypeKey } from '@exetasis/core/part';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { DrawnFace } from '$lib/glyph/drawing';
	import { layoutName, layoutTell } from '$lib/words/layout';

	interface Props {
		/** Stands before the layout's name. */
		model?: string;
		layout: string;
		cylinders: number;
		stack: readonly { readonly type: PartTypeKey; readonly face: DrawnFace }[];
	}
	let { model, layout, cylinders, stack }: Props = $props();
</script>

<span class="grid gap-1 content-start">
	<b>{model ? `${model} · ` : ''}{layoutName(layout)}</b>
	<span class="soft text-[0.82rem] leading-[1.25]">{layoutTell(layout)} {cylinders} cylinders.</span>
	<span class="flex flex-wrap gap-px" aria-hidden="true"
		>{#each stack as { type, face }, i (i)}<Glyph {type} {face} size={24} />{/each}</span
	>
</span>
