<!-- @component The stack of a model as it comes out, pressure side left, as wide as there is room. Its page draws it once (`Stacks`). -->
<script lang="ts">
	import { stackId } from './stack';

	interface Props {
		model: string;
		parts: number;
		size?: number;
	}
	let { model, parts, size = 16 }: Props = $props();
</script>

<svg aria-hidden="true" style:width="{parts * size}px" height={size}><use href="#{stackId(model)}" /></svg>

<style>
	svg {
		display: block;
		max-width: 100%;
	}
</style>
