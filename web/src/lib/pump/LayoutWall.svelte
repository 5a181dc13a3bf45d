<!-- @component Every model by its drawing: the stack as it comes out, and what one sees from outside. -->
<script lang="ts">
	import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';
	import type { ModelToReceive } from '@exetasis/server/sheets';
	import DrawnLayout from './DrawnLayout.svelte';
	import Wall from './Wall.svelte';

	interface Props {
		models: readonly ModelToReceive[];
		onchoose: (model: string) => void;
		onclose: () => void;
	}
	let { models, onchoose, onclose }: Props = $props();
</script>

<Dialog open onOpenChange={(details) => !details.open && onclose()}>
	<Portal>
		<Dialog.Backdrop class="fixed inset-0 z-40 bg-black/40" />
		<Dialog.Positioner class="fixed inset-0 z-50 grid place-items-center p-4">
			<Dialog.Content class="sheet w-full max-w-6xl max-h-full overflow-y-auto p-5">
				<Dialog.Title><h2>Choose the pump by its drawing</h2></Dialog.Title>
				<Dialog.Description>Pressure side on the left, parts in strip order.</Dialog.Description>
				<Wall items={models} keyOf={({ model }) => model} onchoose={({ model }) => onchoose(model)}>
					{#snippet tile({ model, layout, cylinders, stack })}<DrawnLayout
							{model}
							{layout}
							{cylinders}
							{stack}
						/>{/snippet}
				</Wall>
				<Dialog.CloseTrigger class="btn">Close</Dialog.CloseTrigger>
			</Dialog.Content>
		</Dialog.Positioner>
	</Portal>
</Dialog>
