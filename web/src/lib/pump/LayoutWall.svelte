<!-- @component Every model by its drawing: the stack as it comes out, and what one sees from outside. -->
<script lang="ts">
	import type { ModelToReceive } from '@exetasis/server/sheets';
	import Dialog from '$lib/ui/Dialog.svelte';
	import DrawnLayout from './DrawnLayout.svelte';
	import Wall from './Wall.svelte';

	interface Props {
		models: readonly ModelToReceive[];
		onchoose: (model: string) => void;
		onclose: () => void;
	}
	let { models, onchoose, onclose }: Props = $props();
</script>

<Dialog
	title="Choose the pump by its drawing"
	description="Pressure side on the left, parts in strip order."
	width="wide"
	{onclose}
>
	<Wall items={models} keyOf={({ model }) => model} onchoose={({ model }) => onchoose(model)}>
		{#snippet tile({ model, layout, cylinders, stack })}<DrawnLayout {model} {layout} {cylinders} {stack} />{/snippet}
	</Wall>
</Dialog>
