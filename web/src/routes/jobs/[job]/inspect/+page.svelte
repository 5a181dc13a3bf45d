<!-- @component Inspect: the mat above, the part in hand below. One hand on the keys, the other on the gauge. -->
<script lang="ts">
	import { tick } from 'svelte';
	import { page } from '$app/state';
	import Keyboard from '@lucide/svelte/icons/keyboard';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { partType } from '@exetasis/core/part';
	import { formatNumber } from '@exetasis/core/quantity';
	import { benchInUse } from '$lib/log/bench.svelte';
	import JudgePanel from '$lib/judge/JudgePanel.svelte';
	import LookPanel from '$lib/look/LookPanel.svelte';
	import MeasurePanel from '$lib/measure/MeasurePanel.svelte';
	import { firstUnmeasured, step, walkingOrder } from '@exetasis/core/mat';
	import { commandOf, type Command } from '$lib/mat/keys';
	import Mat from '$lib/mat/Mat.svelte';
	import NotSafeYet from '$lib/ui/NotSafeYet.svelte';
	import { refitWords } from '$lib/words/orientation';
	import { placeName } from '$lib/words/place';

	let { data } = $props();
	const bench = $derived(benchInUse()());
	const locked = $derived(bench.bench.job.releasedAt !== null || !data.mayWork || bench.blocked.length > 0);
	const cylinders = $derived(bench.bench.sheet.cylinders);
	const walk = $derived(walkingOrder(bench.stations, cylinders));

	// The place in hand: where the work stopped, when one comes back.
	const resume = () => walk.find((place) => bench.parts.get(place)?.looked === false) ?? walk[0];
	let chosen = $state<string | undefined>(page.url.searchParams.get('place') ?? undefined);
	const selected = $derived(chosen && bench.parts.has(chosen) ? chosen : resume());
	let row = $state(1);
	let mode = $state<'look' | 'measure'>('look');
	let help = $state(false);
	let measurePanel = $state<MeasurePanel>();
	let judgePanel = $state<JudgePanel>();

	const part = $derived(bench.parts.get(selected)!);
	const measurable = $derived(part.station.characteristics.length > 0);
	const abrasiveSays = $derived.by(() => {
		const { abrasive } = part.station;
		if (!abrasive) return '';
		return abrasive === 'never' || bench.bench.policy.abrasive === 'never'
			? '· no abrasive on this surface'
			: '· abrasive cloth allowed here, by the sheet';
	});
	const looked = $derived([...bench.parts.values()].filter((one) => one.looked).length);
	const clear = $derived([...bench.parts.values()].filter((one) => isClear(one)));

	// A verdict that nobody has confirmed yet and that needs no second thought.
	const isClear = (one: typeof part) =>
		one.looked &&
		one.record.decisions.length === 0 &&
		(one.judgement.verdict === 'reuse' || one.judgement.verdict === 'replace');

	async function select(place: string, focus = true) {
		chosen = place;
		const cylinder = Number(place.split('/')[1]);
		if (cylinder > 0) row = cylinder;
		mode = 'look';
		if (focus) await focusMat();
	}

	async function focusMat() {
		await tick();
		document.querySelector<HTMLElement>(`[data-place="${CSS.escape(selected)}"]`)?.focus();
	}

	function next() {
		const index = walk.indexOf(selected);
		void select(walk[Math.min(index + 1, walk.length - 1)]);
	}

	function clean() {
		if (part.record.clean === undefined) bench.record({ kind: 'clean', part: part.cell.part, payload: {} });
		afterLook();
	}

	// What comes after the look: the gauge where there is something to measure, else the verdict.
	function afterLook() {
		if (firstUnmeasured(part, bench.bench.policy)) mode = 'measure';
	}

	function enter() {
		if (mode === 'look' && part.looked && firstUnmeasured(part, bench.bench.policy)) {
			mode = 'measure';
			return;
		}
		// What has to be looked at again waits for its second look: going on decides nothing.
		if (part.judgement.verdict === 'lookAgain') return next();
		judgePanel?.accept();
	}

	function acceptClear() {
		const drafts = clear.map(({ cell, judgement }) => {
			const verdict = judgement.verdict as 'reuse' | 'replace';
			return { kind: 'decision' as const, part: cell.part, payload: { verdict, proposed: verdict } };
		});
		bench.record(...drafts);
	}

	function undo() {
		if (bench.lastOwn) bench.withdraw(bench.lastOwn, 'undone');
	}

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey || help) return;
		if (event.target instanceof HTMLElement && event.target.closest('input, select, textarea, [role=dialog]')) return;
		const onButton = event.target instanceof HTMLButtonElement && !event.target.dataset.place;
		const command = commandOf(event, { mode, locked, measurable, onButton });
		if (!command) return;
		follow(command);
		if (command.does !== 'startReading') event.preventDefault();
	}

	function follow(command: Command) {
		switch (command.does) {
			case 'help':
				return void (help = true);
			case 'move': {
				const to = step(selected, command.key, bench.stations, cylinders, row);
				row = to.row;
				return void select(to.place);
			}
			case 'enter':
				return enter();
			case 'undo':
				return undo();
			case 'mode':
				return void (mode = command.mode);
			case 'startReading':
				return measurePanel?.focus();
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
<Mat {bench} {selected} onselect={(place) => void select(place, false)} />

<div class="legend soft">
	<span>P ◂ left, right ▸ C</span>
	<span>dotted: not looked at</span><span>ring: reuse</span><span>struck: replace</span><span>wave: look again</span
	><span>bracket: handling damage</span>
	<span class="grow"></span>
	<span aria-live="polite"><b class="figures">{looked}</b> of <b class="figures">{bench.parts.size}</b> looked at</span>
	<button type="button" class="press small" onclick={undo} disabled={locked || !bench.lastOwn}
		><Undo size={16} /> Undo</button
	>
	<button type="button" class="press small" onclick={() => (help = true)}><Keyboard size={16} /> Keys</button>
	<button type="button" class="press small" onclick={acceptClear} disabled={locked || clear.length === 0}
		>Accept {clear.length} clear</button
	>
</div>

<div class="hand">
	<header>
		<h1>{placeName(part.station.name, part.cell.cylinder)}</h1>
		<p class="soft">
			{refitWords(part.station, bench.bench.sheet)}
			· {part.cell.hours === null ? 'hours on it unknown' : `${formatNumber(part.cell.hours)} h on it`}{part.cell.kept
				? `, kept ${part.cell.kept === 1 ? 'once' : `${part.cell.kept} times`} before`
				: ''}{part.cell.earlierLives > 0 ? `, ${part.cell.earlierLives} lives before it on record` : ''}
			{part.station.pieces > 1 ? `· ${part.station.pieces} pieces` : ''}
			{abrasiveSays}
		</p>
		{#if part.station.caution}<p class="caution"><b>Caution</b> {part.station.caution.text}</p>{/if}
	</header>
	<div class="panels">
		<div class="panel sheet" class:active={mode === 'look'}><LookPanel {bench} {part} {locked} onclean={clean} /></div>
		<div class="panel sheet" class:active={mode === 'measure'}>
			{#key selected}
				<MeasurePanel
					bind:this={measurePanel}
					{bench}
					{part}
					{locked}
					ondone={() => void focusMat()}
					onleave={() => void focusMat()}
					onmate={(place) => void select(place)}
				/>
			{/key}
		</div>
		<div class="panel sheet">
			<JudgePanel bind:this={judgePanel} {bench} {part} {locked} ondecided={next} />
		</div>
	</div>
</div>
{#if help}
	{#await import('$lib/mat/KeysHelp.svelte') then { default: KeysHelp }}
		<KeysHelp open onclose={() => (help = false)} />
	{/await}
{/if}

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 0.7rem;
		font-size: 0.76rem;
		margin: 4px 0;
	}
	.grow {
		flex: 1;
	}
	.small {
		font-size: 0.82rem;
		padding: 0.2rem 0.6rem;
	}
	.hand header {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.2rem 1rem;
		margin-bottom: 4px;
	}
	.hand header .soft {
		font-size: 0.85rem;
	}
	.caution {
		font-size: 0.85rem;
		border-left: 4px solid var(--doubt);
		padding-left: 0.5rem;
	}
	.panels {
		display: grid;
		grid-template-columns: 1fr 1fr 1.15fr;
		gap: 10px;
		align-items: start;
	}
	/* Each on a layer of its own, so that a key paints only what it changes. */
	.panel {
		contain: layout paint;
		will-change: transform;
		padding: 0.5rem 0.75rem 0.75rem;
		border-top-width: 3px;
	}
	.panel.active {
		border-top-color: var(--mark);
	}
	@media (max-width: 900px) {
		.panels {
			grid-template-columns: 1fr;
		}
	}
</style>
