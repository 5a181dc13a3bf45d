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

<p>
	<TriangleAlert size={17} aria-hidden="true" /> <b>{hazardName[caution.hazard]}{of ? `, ${inSentence(of)}` : ''}.</b>
	{caution.text}
</p>

<style>
	p {
		font-size: 0.88rem;
		border-left: 4px solid var(--doubt);
		padding-left: 0.5rem;
		margin-top: 2px;
	}
	p :global(svg) {
		display: inline;
		vertical-align: -3px;
		color: var(--doubt);
	}
</style>
