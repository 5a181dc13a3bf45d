<!-- @component What can hurt at this step, as sign, word and sentence. -->
<script lang="ts">
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import { inSentence } from '$lib/words/place';
	import { hazardName } from '$lib/words/hazards';
	import type { Caution } from '@exetasis/core/record';

	interface Props {
		caution: Caution;
		/** The part that it is of, where it is not the step's own. */
		of?: string;
	}
	let { caution, of }: Props = $props();
</script>

<p class="text-[0.88rem] border-l-4 border-l-doubt pl-2 mt-0.5">
	<TriangleAlert size={17} aria-hidden="true" /> <b>{hazardName[caution.hazard]}{of ? `, ${inSentence(of)}` : ''}.</b>
	{caution.text}
</p>

<style>
	p :global(svg) {
		display: inline;
		vertical-align: -3px;
		color: var(--doubt);
	}
</style>
