<!-- @component The ways in which good people do a step: which one was used is said before it is signed off. -->
<script lang="ts">
	import type { Step } from '@exetasis/core/record';

	interface Props {
		ways: Step['ways'];
		chosen: string | undefined;
		locked: boolean;
		onchoose: (way: string) => void;
	}
	let { ways, chosen, locked, onchoose }: Props = $props();
</script>

<div class="ways flex flex-wrap items-center gap-1.5" role="group" aria-label="Method">
	<span>Method</span>
	{#each ways as { key, text, risk } (key)}
		<button
			type="button"
			class="btn text-left"
			aria-pressed={chosen === key}
			disabled={locked}
			onclick={() => onchoose(key)}
			>{text}{#if risk}<span class="text-doubt">: {risk.toLowerCase()}</span>{/if}</button
		>
	{/each}
</div>
