<!-- @component Which column of a table holds what. -->
<script lang="ts" generics="Field extends string">
	import Choose from '$lib/ui/Choose.svelte';

	interface Props {
		/** Names of the table's columns. */
		heads: readonly string[];
		fields: readonly (readonly [field: Field, label: string])[];
		/** By field, the index of its column; -1: none. */
		columns: Readonly<Record<Field, number>>;
		onchange: (columns: Readonly<Record<Field, number>>) => void;
	}
	let { heads, fields, columns, onchange }: Props = $props();
	const options = $derived([
		['-1', 'no such column'] as const,
		...heads.map((head, i) => [String(i), head || `Column ${i + 1}`] as const)
	]);
</script>

<div class="columns grid grid-cols-[repeat(auto-fill,minmax(12rem,1fr))] gap-2.5 my-2.5">
	{#each fields as [field, label] (field)}
		<Choose
			{label}
			value={String(columns[field])}
			{options}
			onchoose={(column) => onchange({ ...columns, [field]: Number(column) })}
		/>
	{/each}
</div>
