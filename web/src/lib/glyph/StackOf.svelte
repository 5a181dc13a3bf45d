<!-- @component The parts of a model as they come out, pressure side left. Its page draws them once (`Stacks`). -->
<script lang="ts">
	import { stackId } from './stack';

	interface Props {
		model: string;
		parts: number;
		size?: number;
	}
	let { model, parts, size = 26 }: Props = $props();
</script>

<svg aria-hidden="true" style:width="{parts * size}px" height={size}><use href="#{stackId(model)}" /></svg>

<style>
	svg {
		display: block;
		max-width: 100%;
	}
</style>
