<!-- @component What is left of a time, running. -->
<script lang="ts">
	import { timeLeft } from './timers';

	interface Props {
		until: number;
	}
	let { until }: Props = $props();
	let now = $state(Date.now());
	$effect(() => {
		const ticking = setInterval(() => (now = Date.now()), 500);
		return () => clearInterval(ticking);
	});
</script>

<b class="figures" class:over={now > until}>{timeLeft(until, now)}</b>

<style>
	.over {
		color: var(--pencil);
	}
</style>
