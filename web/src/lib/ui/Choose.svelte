<!-- @component One of several, chosen from a list and taken at once. -->
<script lang="ts" generics="Key extends string">
	interface Props {
		label: string;
		value: Key;
		options: readonly (readonly [key: Key, words: string])[];
		onchoose: (key: Key) => void;
	}
	let { label, value, options, onchoose }: Props = $props();
	const id = $props.id();
</script>

<div class="label">
	<label for={id}>{label}</label>
	<select {id} class="select" {value} onchange={({ currentTarget }) => onchoose(currentTarget.value as Key)}>
		{#each options as [key, words] (key)}<option value={key}>{words}</option>{/each}
	</select>
</div>
