<!-- @component One of a few, side by side. -->
<script lang="ts" generics="Key extends string">
	import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		label: string;
		/** The label stands before them; else it is only read out. */
		labelled?: boolean;
		options: readonly (readonly [key: Key, words: string])[];
		value: Key;
		onchoose: (key: Key) => void;
	}
	let { label, labelled = false, options, value, onchoose }: Props = $props();
</script>

<SegmentedControl class="segmented" {value} onValueChange={({ value }) => value && onchoose(value as Key)}>
	<SegmentedControl.Label class={labelled ? 'soft' : 'sr-only'}>{label}</SegmentedControl.Label>
	<SegmentedControl.Control class="segments">
		{#each options as [key, words] (key)}
			<SegmentedControl.Item value={key} class="btn segment">
				<SegmentedControl.ItemText>{words}</SegmentedControl.ItemText>
				<SegmentedControl.ItemHiddenInput />
			</SegmentedControl.Item>
		{/each}
	</SegmentedControl.Control>
</SegmentedControl>
