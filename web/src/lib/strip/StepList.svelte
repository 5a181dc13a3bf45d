<!-- @component All steps beside the one in hand: which are done, which is next, which wait. -->
<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { waitsFor, type Step } from '@exetasis/core/record';

	interface Props {
		steps: readonly Step[];
		done: { has(key: string): boolean };
		current: string | undefined;
		onpick: (key: string) => void;
	}
	let { steps, done, current, onpick }: Props = $props();
</script>

<ol aria-label="Steps">
	{#each steps as step, index (step.key)}
		{@const signed = done.has(step.key)}
		<li>
			<button
				class="grid grid-cols-[1.4rem_1fr_18px] gap-1.5 items-center w-full min-h-8 py-1 text-left text-[0.84rem] cursor-pointer"
				type="button"
				class:signed
				class:waits={!signed && waitsFor(steps, step, done).length > 0}
				aria-current={step.key === current ? 'step' : undefined}
				title={step.text}
				onclick={() => onpick(step.key)}
			>
				<span class="figures text-right">{index + 1}</span>
				<span class="line-clamp-2 leading-[1.2]">{step.text}</span>
				{#if signed}<Check size={16} aria-label="done" />{/if}
			</button>
		</li>
	{/each}
</ol>

<style>
	.signed,
	.waits {
		color: var(--ink-soft);
	}
	[aria-current] {
		box-shadow: inset 4px 0 var(--mark);
		font-weight: 650;
		color: var(--ink);
	}
	@media (pointer: coarse) {
		button {
			min-height: 44px;
		}
	}
</style>
