<!-- @component One choice of a variant as one sees it: the parts that lie in such a pump alone, dotted where it has none of them; else its material in section. -->
<script lang="ts">
	import type { DrawnPart, VariantToChoose } from '@exetasis/server/sheets';
	import Glyph from '$lib/glyph/Glyph.svelte';

	interface Props {
		variant: VariantToChoose;
		choice: string;
	}
	let { variant, choice }: Props = $props();

	const MOST = 3;
	const alike = ({ type, face }: DrawnPart) => `${type}/${face.toward}/${face.feature}`;
	const own = $derived(variant.choices.find(({ key }) => key === choice)?.parts ?? []);
	const parts = $derived(own.length > 0 ? own : variant.choices.flatMap((choice) => choice.parts));
	const shown = $derived(
		parts.filter((part, i) => parts.findIndex((other) => alike(other) === alike(part)) === i).slice(0, MOST)
	);
	const hatch = $derived(['metal', 'castIron', 'plastic'].find((material) => material === choice));
</script>

{#if shown.length > 0}
	<span class="inline-flex" aria-hidden="true"
		>{#each shown as { type, face }, i (i)}<Glyph {type} {face} size={30} dotted={own.length === 0} />{/each}</span
	>
{:else if hatch}
	<svg viewBox="0 0 30 20" width="30" height="20" aria-hidden="true">
		<rect x="1" y="1" width="28" height="18" fill="url(#hatch-{hatch})" />
	</svg>
{/if}

<style>
	rect {
		stroke: currentColor;
		stroke-width: 1.2;
	}
</style>
