<!-- @component Times that run out, on whatever page: shown while they run, ringing shortly before and at their end. -->
<script lang="ts">
	import { runningTimers, timeLeft, type RunningTimer } from './timers';

	const RING_BEFORE_MS = 60_000;
	let timers = $state<RunningTimer[]>([]);
	let now = $state(Date.now());
	const rung = new Set<string>();
	let sound: AudioContext | undefined;

	function ring() {
		try {
			sound ??= new AudioContext();
			for (const [i, hz] of [880, 660, 880].entries()) {
				const tone = sound.createOscillator();
				const volume = sound.createGain();
				tone.frequency.value = hz;
				volume.gain.value = 0.2;
				tone.connect(volume).connect(sound.destination);
				tone.start(sound.currentTime + i * 0.35);
				tone.stop(sound.currentTime + i * 0.35 + 0.25);
			}
			navigator.vibrate?.([300, 150, 300]);
		} catch {
			// A browser that may not sound shows it all the same.
		}
	}
	$effect(() => {
		const inspection = () => {
			const at = Date.now();
			const running = runningTimers(at);
			[now, timers] = [at, running];
			for (const { job, step, until } of running) {
				const due = until <= at ? 'over' : until - at <= RING_BEFORE_MS ? 'soon' : '';
				const mark = `${job}/${step}/${until}/${due}`;
				if (due && !rung.has(mark)) ring();
				if (due) rung.add(mark);
			}
		};
		inspection();
		const ticking = setInterval(inspection, 1000);
		return () => clearInterval(ticking);
	});
	let height = $state(0);
	// Pages that fill the window leave it its room.
	$effect(() => {
		document.documentElement.style.setProperty('--timers', `${timers.length > 0 ? height : 0}px`);
	});
</script>

{#if timers.length > 0}
	<!-- Above the page, not over it: nothing that is pressed lies under it. -->
	<div
		class="timers sticky top-0 z-20 flex flex-wrap bg-sheet"
		role="timer"
		aria-label="Sealant timers"
		bind:clientHeight={height}
	>
		{#each timers as { job, step, pump, todo, until } (job + step)}
			<a
				class={[
					'min-w-0 flex-[1_1_20rem] truncate border-b-3 px-3.5 py-[11px] leading-[1.25] text-ink',
					until <= now ? 'border-pencil font-[650]' : 'border-mark'
				]}
				href="/jobs/{job}/build"><b class="figures">{timeLeft(until, now)}</b> {pump}: {todo}</a
			>
		{/each}
	</div>
{/if}
