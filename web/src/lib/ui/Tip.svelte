<!-- @component What something is, said beside it while it is pointed at or in focus. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { Portal, Tooltip } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		says: string;
		/** The name of what is pressed, where its content is only drawn. */
		label?: string;
		class?: string;
		children: Snippet;
	}
	let { says, label, class: inspection, children }: Props = $props();
</script>

<Tooltip openDelay={300} positioning={{ placement: 'bottom' }}>
	<Tooltip.Trigger class={inspection} aria-label={label}>{@render children()}</Tooltip.Trigger>
	<Portal>
		<Tooltip.Positioner class="z-50">
			<Tooltip.Content class="sheet max-w-72! border-[1.5px]! border-ink! px-2! py-1! text-[0.85rem]!"
				>{says}</Tooltip.Content
			>
		</Tooltip.Positioner>
	</Portal>
</Tooltip>
