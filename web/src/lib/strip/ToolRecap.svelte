<!-- @component Every tool that the job wants, on one list to be laid out, or printed, before the pump is opened. -->
<script lang="ts">
	import { stationsInScope, stepsInScope, type ModelSheet, type Opening } from '@exetasis/core/record';

	interface Props {
		sheet: ModelSheet;
		job: Opening;
	}
	let { sheet, job }: Props = $props();
	const tools = $derived.by(() => {
		const keys = new Set([
			...stepsInScope(sheet, job).flatMap((step) => step.tools),
			...stationsInScope(sheet, job).flatMap((station) => station.tools.map(({ tool }) => tool))
		]);
		return sheet.tools.filter(({ key }) => keys.has(key));
	});
</script>

<details>
	<summary>{tools.length} tools for this job</summary>
	<ul>
		{#each tools as { key, name, special, substitutes } (key)}
			<li>
				{name}{special ? ' (special)' : ''}
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
