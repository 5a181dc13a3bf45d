<!-- @component Inspect: the mat above, the part in hand below, all of it within the window. One hand on the keys, the other on the gauge. -->
<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import { page } from '$app/state';
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { partType } from '@exetasis/core/part';
	import { benchInUse } from '$lib/log/bench.svelte';
	import JudgePanel from '$lib/judge/JudgePanel.svelte';
	import LookPanel from '$lib/look/LookPanel.svelte';
	import MeasurePanel from '$lib/measure/MeasurePanel.svelte';
	import { Measuring } from '$lib/measure/measuring.svelte';
	import Pad from '$lib/measure/Pad.svelte';
	import { firstUnmeasured, step, walkingOrder, placeKey } from '@exetasis/core/mat';
	import { Burst, commandOf, type Command } from '$lib/mat/keys';
	import { MatLayers } from '$lib/mat/layers.svelte';
	import Mat from '$lib/mat/Mat.svelte';
	import Overlays from '$lib/mat/Overlays.svelte';
	import PartHeader from '$lib/mat/PartHeader.svelte';
	import StatusLine from '$lib/mat/StatusLine.svelte';
	import { padWanted } from '$lib/ui/hands.svelte';
	import NotSafeYet from '$lib/strip/NotSafeYet.svelte';
	import { stroke } from '$lib/ui/stroke';
	import { nextAct } from '$lib/words/nextAct';
	import { verdictName } from '$lib/words/reasons';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const bench = $derived(benchInUse()());
	const locked = $derived(bench.bench.job.releasedAt !== null || !data.mayWork || bench.blocked.length > 0);
	const cylinders = $derived(bench.bench.sheet.cylinders);
	// Places of other variants hold no part.
	const walk = $derived(walkingOrder(bench.stations, cylinders).filter((place) => bench.parts.has(place)));

	// The place in hand: where the work stopped, when one comes back.
	const resume = () => walk.find((place) => bench.parts.get(place)?.inspected === false) ?? walk[0];
	let chosen = $state(untrack(() => page.url.searchParams.get('place') ?? resume()));
	const selected = $derived(bench.parts.has(chosen) ? chosen : resume());
	const part = $derived(bench.parts.get(selected)!);
	const unmeasured = $derived(firstUnmeasured(part, bench.bench.policy));
	let row = $state(1);
	let judgePanel = $state<JudgePanel>();
	let overlays = $state<Overlays>();

	const measuring = new Measuring({
		bench: () => bench,
		part: () => part,
		locked: () => locked,
		format,
		ontaken: taken
	});
	const typed = $derived(measuring.text);

	const layers = $derived(new MatLayers(bench.bench.job.id));
	// The page stands first; what earlier rebuilds found comes after it.
	$effect(() => void layers.fetch());
	let named = $state(false);
	const narrow = new MediaQuery('max-width: 1000px');
	/** In a narrow window one panel stands at a time. */
	let panel = $state<'look' | 'measure' | 'judge'>('look');
	const panels = [
		['look', 'Look'],
		['measure', 'Measure'],
		['judge', 'Judge']
	] as const;
	/** The pad stands in place of Look while there is something to read. */
	let padAsked = $state<boolean>();
	const readingNow = $derived(part.inspected && (unmeasured !== undefined || part.record.readings.length > 0));
	const padded = $derived(
		!locked && part.station.characteristics.length > 0 && (padAsked ?? (padWanted() && readingNow))
	);

	/** In a narrow window the pad goes with Measure: another panel closes it. */
	function showPanel(key: typeof panel) {
		panel = key;
		padAsked = key === 'measure' ? undefined : false;
	}

	// The part is drawn where there is room: under few patterns, else under the verdict.
	const FEW_PATTERNS = 8;
	const fewPatterns = $derived(
		partType(part.station.type).patterns.length <= FEW_PATTERNS && part.record.findings.length === 0
	);
	const earlier = $derived(layers.history?.get(selected) ?? (layers.history ? [] : undefined));

	const then = $derived(bench.parts.get(walk[walk.indexOf(selected) + 1]));
	const says = $derived(nextAct({ part, locked, typed, unmeasured, then }));

	async function select(place: string, focus = true) {
		if (place !== selected) measuring.clear();
		chosen = place;
		const cylinder = Number(place.split('/')[1]);
		if (cylinder > 0) row = cylinder;
		panel = 'look';
		padAsked = undefined;
		if (focus) await focusMat();
	}

	/** To a place, and to a size of it where one is asked for: the gauge in hand, the field waiting. */
	async function check({ place, size }: { place: string; size?: string }) {
		if (!bench.parts.has(place)) return;
		await select(place);
		if (!part.station.characteristics.some(({ key }) => key === size)) return;
		panel = 'measure';
		measuring.choose(size!);
		await tick();
		measuring.focus();
	}

	async function focusMat() {
		await tick();
		document.querySelector<HTMLElement>(`[data-place="${CSS.escape(selected)}"]`)?.focus({ preventScroll: true });
	}

	onMount(() => {
		const size = page.url.searchParams.get('size');
		if (size) void check({ place: selected, size });
	});

	const beside = (by: 1 | -1) => {
		const index = Math.min(Math.max(walk.indexOf(selected) + by, 0), walk.length - 1);
		void select(walk[index]);
	};
	const next = () => beside(1);

	function clean() {
		if (bench.uncleaned.length > 0) return;
		if (part.record.clean === undefined) bench.record({ kind: 'clean', part: part.cell.part, payload: {} });
		// What comes after the look: the gauge where there is something to measure, else the verdict.
		panel = unmeasured ? 'measure' : 'judge';
	}
	function cleanNext() {
		if (bench.uncleaned.length > 0) return;
		clean();
		next();
	}

	function enter() {
		if (part.inspected && unmeasured) {
			panel = 'measure';
			return measuring.focus();
		}
		// What has to be looked at again waits for its second look: going on decides nothing.
		if (part.judgement.verdict === 'lookAgain') return next();
		judgePanel?.accept();
	}

	// After a reading the gauge may send another line's end: it accepts nothing.
	const burst = new Burst();
	function taken(complete: boolean) {
		burst.begin(performance.now());
		if (!complete) return;
		panel = 'judge';
		void focusMat();
	}

	// The pad's big key: takes what is typed, accepts the verdict, or goes on where there is none to accept.
	const { verdict } = $derived(part.judgement);
	const padMain = $derived(
		typed.trim() !== '' || unmeasured
			? 'Enter'
			: part.inspected && (verdict === 'reuse' || verdict === 'replace')
				? `${verdictName[verdict]}, next`
				: 'Next part'
	);
	function onPadMain() {
		if (padMain === 'Enter') void measuring.take();
		else if (padMain === 'Next part') next();
		else enter();
	}

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey || overlays?.isOpen()) return;
		if (
			event.target instanceof HTMLElement &&
			event.target.closest('input, select, textarea, [role=dialog], [role=menu]')
		)
			return;
		if (burst.holds(event.timeStamp)) return event.preventDefault();
		const onButton = event.target instanceof HTMLButtonElement && !event.target.dataset.place;
		const measurable = part.station.characteristics.length > 0;
		const command = commandOf(event, { locked, measurable, onButton });
		if (!command) return;
		// What the explanation covers is not worked blindly.
		if (overlays?.isBeside() && command.does !== 'move') return;
		follow(command, event.timeStamp);
		if (command.does !== 'startReading') event.preventDefault();
	}

	function follow(command: Command, at: number) {
		switch (command.does) {
			case 'help':
				return void overlays?.show('keys');
			case 'move': {
				const to = step(selected, command.key, { stations: bench.stations, cylinders }, row, (place) =>
					bench.parts.has(place)
				);
				row = to.row;
				return void select(to.place);
			}
			case 'enter':
				return enter();
			case 'undo':
				return bench.undo();
			case 'startReading':
				panel = 'measure';
				return measuring.focus();
			case 'strayReading':
				return burst.begin(at);
			case 'clean':
				return clean();
			case 'pattern': {
				const rule = partType(part.station.type).patterns[command.index];
				if (rule) bench.cyclePattern(part, rule.pattern);
			}
		}
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Inspect {bench.bench.job.serial} · Exetasis</title></svelte:head>

<NotSafeYet {bench} />
<div class={['mat min-w-0 flex-none', padded && 'max-[600px]:hidden']}>
	<Mat
		{bench}
		{selected}
		{named}
		{layers}
		low={padded && narrow.current}
		onselect={(place) => void select(place, false)}
	/>
</div>

<div class="line flex min-h-[46px] flex-none items-center gap-1" class:padded>
	<button type="button" class="btn-icon" aria-label="Previous part" onclick={() => beside(-1)}
		><ChevronLeft size={26} /></button
	>
	<PartHeader
		sheet={bench.bench.sheet}
		policy={bench.bench.policy}
		variants={bench.bench.job.variants}
		{part}
		up={bench.up}
		cases={data.cases.filter(
			(example) => placeKey(example.station, example.cylinder) === selected || example.check?.place === selected
		)}
		oncheck={(where) => void check(where)}
	/>
	<button type="button" class="btn-icon" aria-label="Next part" onclick={next}><ChevronRight size={26} /></button>
</div>
<!-- Fetched where it is wanted: the wide window shows all three. -->
<div class="mb-1.5 hidden min-h-11 flex-none max-[1000px]:block">
	{#if narrow.current}
		{#await import('$lib/ui/Segments.svelte') then { default: Segments }}
			<Segments label="Panels" options={panels} value={padded ? 'measure' : panel} onchoose={showPanel} />
		{/await}
	{/if}
</div>
<div class="panels {data.hand}" {@attach stroke(beside)}>
	<div class="panel sheet" class:shown={panel === 'look'} class:padded>
		{#if padded}
			<Pad
				unit={measuring.padUnit}
				main={padMain}
				canTakeBack={part.record.readings.length > 0}
				ontype={(character) => {
					panel = 'measure';
					measuring.type(character);
				}}
				onerase={() => measuring.erase()}
				onunit={() => measuring.nextUnit()}
				ontakeback={() => measuring.withdrawLast()}
				onmain={onPadMain}
			/>
			<button type="button" class="btn mt-2 w-full max-[1000px]:hidden!" onclick={() => showPanel('look')}
				>Back to Look</button
			>
		{:else}
			<LookPanel
				{bench}
				{part}
				{locked}
				onclean={clean}
				oncleannext={unmeasured ? undefined : cleanNext}
				drawn={narrow.current || fewPatterns}
				{earlier}
			/>
		{/if}
	</div>
	<div class="panel sheet" class:shown={panel === 'measure'}>
		{#key selected}
			<MeasurePanel
				{bench}
				{part}
				{locked}
				{measuring}
				{padded}
				onpad={() => (padAsked = !padded)}
				onleave={() => void focusMat()}
				onmate={(place) => void select(place)}
			/>
		{/key}
	</div>
	<div class="panel sheet" class:shown={panel === 'judge'}>
		<JudgePanel
			bind:this={judgePanel}
			{bench}
			{part}
			{locked}
			ondecided={next}
			onmore={() => void overlays?.show('why')}
			drawn={narrow.current || !fewPatterns || padded}
			{earlier}
		/>
	</div>
	<Overlays bind:this={overlays} {bench} {part} narrow={narrow.current} onfind={(place) => void select(place)} />
</div>
<StatusLine {bench} {says} {locked} {layers} bind:named onshow={(which) => void overlays?.show(which)} />

<style>
	.panels {
		position: relative;
		container: panels / size;
		flex: 1;
		min-height: 0;
		display: grid;
		grid-template-columns: 1fr 1fr 1.05fr;
		gap: 8px;
	}
	/* The hand that touches: what is touched most lies on its side. */
	.panels.right .panel:nth-child(1) {
		order: 0;
	}
	.panels.left .panel:nth-child(1) {
		order: 3;
	}
	.panels.left .panel:nth-child(2) {
		order: 2;
	}
	.panels.left .panel:nth-child(3) {
		order: 1;
	}
	.panels > :global(.beside) {
		position: absolute;
		inset: 0 34.5% 0 0;
		z-index: 3;
	}
	.panels.left > :global(.beside) {
		inset: 0 0 0 34.5%;
	}
	/* Each on a layer of its own, so that a key paints only what it changes. */
	.panel {
		contain: layout paint;
		will-change: transform;
		overflow-y: auto;
		padding: 0 0.6rem 0.4rem;
	}
	.panel.padded {
		padding-top: 0.5rem;
	}
	@media (max-width: 1000px) {
		.panels {
			grid-template-columns: 1fr;
			grid-template-rows: 1fr;
		}
		.panel:not(.shown, .padded) {
			display: none;
		}
		/* The pad stands below the reading that it types. */
		.panels:has(.padded) {
			grid-template-rows: auto auto;
		}
		.panels:has(.padded) .panel:nth-child(2) {
			display: block;
			order: -1;
		}
		.panels:has(.padded) .panel:nth-child(3) {
			display: none;
		}
	}
	/* On a telephone there is room for the reading and the pad alone; the tabs lead back. */
	@media (max-width: 600px) {
		.padded ~ :global(.status .btn) {
			display: none;
		}
		.line.padded :global(:is(.case, .check)) {
			display: none;
		}
		.line.padded :global(.caution span) {
			-webkit-line-clamp: 1;
			line-clamp: 1;
		}
		.panels:has(.padded) {
			grid-template-rows: minmax(0, 1fr) auto;
		}
	}
</style>
