<!-- @component Every tool that the job wants, on one list to be laid out, or printed, before the pump is opened. -->
<script lang="ts">
	import { toolsInScope, type ModelSheet } from '@exetasis/core/record';
	import type { Bench } from '@exetasis/server/jobs/bench';

	interface Props {
		sheet: ModelSheet;
		job: Bench['job'];
	}
	let { sheet, job }: Props = $props();
	const tools = $derived(toolsInScope(sheet, job));
	const said = { atHand: 'at hand', borrow: 'to be borrowed' } as const;
	const saidOf = (key: string): string => {
		const how = job.arrival.tools?.[key];
		return how === undefined ? '' : typeof how === 'string' ? said[how] : `instead: ${how.instead.toLowerCase()}`;
	};
</script>

<details>
	<summary>{tools.length} tools for this job</summary>
	<ul>
		{#each tools as { key, name, special, substitutes } (key)}
			<li>
				{name}{special ? ' (special)' : ''}{#if saidOf(key)}: <b>{saidOf(key)}</b>{/if}
				{#each substitutes as other (other.name)}<span class="risk"
						>or {other.name.toLowerCase()}: {other.risk.toLowerCase()}</span
					>{/each}
			</li>
		{/each}
	</ul>
	<button type="button" class="btn print:hidden" onclick={() => print()}>Print the list</button>
</details>

<style>
	summary {
		cursor: pointer;
		min-height: 36px;
		line-height: 36px;
	}
	ul {
		list-style: disc;
		padding-left: 1.1rem;
		font-size: 0.86rem;
		line-height: 1.35;
	}
	.risk {
		display: block;
		color: var(--doubt);
		font-size: 0.8rem;
	}
</style>
