<!-- @component Something is being worked out, no one knows how long. -->
<script lang="ts">
	import { Progress } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		what: string;
	}
	let { what }: Props = $props();
</script>

<div role="status">
	<Progress value={null}>
		<Progress.Label class="soft">{what}</Progress.Label>
		<Progress.Track class="track"><Progress.Range class="range" /></Progress.Track>
	</Progress>
</div>

<style>
	div :global(.track) {
		height: 4px;
		overflow: hidden;
		background: var(--line);
	}
	div :global(.range) {
		width: 30%;
		height: 100%;
		background: var(--mark);
		animation: along 1.4s ease-in-out infinite;
	}
	@keyframes along {
		from {
			transform: translateX(-100%);
		}
		to {
			transform: translateX(340%);
		}
	}
	@media (prefers-reduced-motion: reduce) {
		div :global(.range) {
			animation: none;
			width: 100%;
		}
	}
</style>
