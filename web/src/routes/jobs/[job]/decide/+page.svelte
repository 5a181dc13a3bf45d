<!-- @component Decide: the whole set in one table, odds and costs at the next service, what each school says, how far it can go. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { INTERVALS, schools, valveRules, type DecidedPart } from '@exetasis/core/decide';
	import { formatNumber, formatProbability } from '$lib/ui/numbers';
	import { Slider } from '@skeletonlabs/skeleton-svelte';
	import { benchInUse } from '$lib/log/bench.svelte';
	import { placeKey } from '@exetasis/core/mat';
	import { DecisionState } from '$lib/decide/decision.svelte';
	import NotSafeYet from '$lib/ui/NotSafeYet.svelte';
	import DecideRow from '$lib/decide/DecideRow.svelte';
	import IntervalChart from '$lib/decide/IntervalChart.svelte';
	import UnitQuestion from '$lib/decide/UnitQuestion.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { reasonSentence, verdictName } from '$lib/words/reasons';
	import { schoolName, valvesName } from '$lib/words/schools';

	let { data } = $props();
	const units = unitsInUse();
	const bench = $derived(benchInUse()());
	const set = $derived(
		new DecisionState(
			bench,
			untrack(() => data.first)
		)
	);
	const job = $derived(bench.bench.job);
	const currency = $derived(data.shop?.currency ?? '');
	const locked = $derived(job.releasedAt !== null || !data.mayWork || bench.blocked.length > 0);

	// The worker lives as long as the page; what it is asked follows the slider, the school and the log.
	$effect(() => set.open());
	$effect(() => set.hold());
	$effect(() => void set.decide());
	$effect(() => void set.findInterval());

	let opened = $state<string>();
	const partOf = $derived(new Map([...bench.parts.values()].map((part) => [part.cell.part, part])));
	const says = (part: DecidedPart) => part.says[set.school];
	const unlooked = $derived([...bench.parts.values()].filter(({ looked }) => !looked).length);
	const sorted = $derived([...(set.decision?.parts ?? [])].sort((a, b) => b.weight[set.school] - a.weight[set.school]));
	const clear = $derived(
		sorted.filter(
			(part) => !part.decided && partOf.get(part.id)?.looked && (says(part) === 'reuse' || says(part) === 'replace')
		)
	);
	const cost = $derived(set.decision?.cost[set.school]);

	function acceptClear() {
		bench.record(
			...clear.map((part) => {
				const verdict = says(part) as 'reuse' | 'replace';
				return { kind: 'decision' as const, part: part.id, payload: { verdict, proposed: verdict } };
			})
		);
	}
	const differs = (part: DecidedPart) =>
		schools.filter((school) => school !== set.school && part.says[school] !== says(part));
</script>

<svelte:head><title>Decide {job.serial} · Exetasis</title></svelte:head>
<NotSafeYet {bench} />
{#if set.problem}<div class="problem" role="alert">
		<p class="wrong">{set.problem}</p>
		<button type="button" class="btn" onclick={() => set.restart()}>Try again</button>
	</div>{/if}
{#if set.decision}<UnitQuestion unit={set.decision.unit} {currency} />{/if}
<div class="top">
	<section class="sheet" aria-label="How far, by which school">
		<div class="far">
			<Slider
				class="slider"
				value={[set.hours]}
				min={INTERVALS[0]}
				max={INTERVALS.at(-1)}
				step={INTERVALS[0]}
				onValueChange={({ value: [hours] }) => (set.hours = hours)}
			>
				<Slider.Label>Hours to the next service: <b class="figures">{formatNumber(set.hours)} h</b></Slider.Label>
				<Slider.Control>
					<Slider.Track><Slider.Range /></Slider.Track>
					<Slider.Thumb index={0}><Slider.HiddenInput /></Slider.Thumb>
				</Slider.Control>
			</Slider>
		</div>
		<div class="schools" role="group" aria-label="School">
			{#each schools as school (school)}
				{@const one = set.decision?.cost[school]}
				<button type="button" class="btn" aria-pressed={set.school === school} onclick={() => (set.school = school)}>
					<span
						>{schoolName[school]}{school === bench.bench.policy.school ? ' (in force)' : ''}<br /><span
							class="figures soft">{one ? `${formatNumber(one.total)} ${currency}` : '…'}</span
						></span
					>
				</button>
			{/each}
		</div>
		<div class="valves">
			<Segments
				label="Valves"
				labelled
				options={valveRules.map(
					(rule) => [rule, `${valvesName[rule]}${rule === bench.bench.policy.valves ? ' (in force)' : ''}`] as const
				)}
				value={set.valves}
				onchoose={(rule) => (set.valves = rule)}
			/>
			<button type="button" class="btn main accept" disabled={locked || clear.length === 0} onclick={acceptClear}
				>Accept {clear.length} as “{schoolName[set.school]}” says</button
			>
		</div>
		{#if cost}
			<p class="cost">
				<b class="figures">{formatNumber(cost.parts)} {currency}</b> of parts now,
				<b class="figures">{formatProbability(cost.pAnyFailure)}</b>
				chance of an unplanned stop within
				<span class="figures">{formatNumber(set.hours)} h</span>,
				<b class="figures">{formatProbability(cost.pAnyBeyond)}</b>
				that a part is found beyond its limit or damaged then; expected {formatNumber(cost.opening + cost.collateral)}
				{currency} for that. An unplanned stop costs
				{formatNumber(bench.bench.sheet.openingCost + bench.bench.policy.downtimeCost)}
				{currency}.
			</p>
		{:else if !set.problem}<p class="soft" role="status">Working the set out …</p>{/if}
	</section>
	<section class="sheet" aria-label="Most economic interval">
		{#if set.interval}
			<p class="cost">
				Least cost per hour at {set.interval.atLeast ? 'at least ' : ''}<b class="figures"
					>{formatNumber(set.interval.best.hours)} h</b
				>: {formatNumber(set.interval.best.per1000h)}
				{currency} per 1000 h, by “{schoolName[set.school]}”.
			</p>
			<IntervalChart curve={set.interval.curve} best={set.interval.best} hours={set.hours} {currency} />
		{:else if set.problem}<p class="soft">Not worked out.</p>
		{:else if set.seeking}<p class="soft" role="status">Looking for the most economic interval …</p>
		{:else}<p class="soft">How far the set can go is worked out when the first part has been looked at.</p>{/if}
	</section>
</div>
{#if unlooked > 0}<p class="soft">
		{unlooked} parts are not looked at yet and stand last: they count as such parts usually are at their age.
	</p>{/if}
<table class="table set">
	<colgroup>
		<col style="width: 16%" /><col style="width: 16%" /><col span="2" style="width: 8.5%" /><col
			span="2"
			style="width: 8.5%"
		/><col /><col style="width: 8.5rem" />
	</colgroup>
	<thead>
		<tr
			><th>Part</th><th>{schoolName[set.school]} says</th><th class="number">Beyond limit, reused / new</th><th
				class="number">Stops it, reused / new</th
			><th class="number">Cost, reuse</th><th class="number">Cost, replace</th><th>Why</th><th>Decided</th></tr
		>
	</thead>
	<tbody>
		{#each sorted as one (one.id)}
			{@const part = partOf.get(one.id)}
			{#if part}
				<tr>
					<td>
						<a class="row part" href="/jobs/{job.id}/inspect?place={placeKey(part.cell.station, part.cell.cylinder)}">
							<Glyph type={part.station.type} toward={part.station.face.toward} dotted={!part.looked} size={30} />
							{part.station.name}{part.cell.cylinder ? `, ${part.cell.cylinder}` : ''}
						</a>
					</td>
					<td>
						<span class="verdict {says(one)}">{verdictName[says(one)]}</span>
						{#each differs(one) as school (school)}<br /><span class="soft"
								>{schoolName[school]}: {verdictName[one.says[school]].toLowerCase()}</span
							>{/each}
					</td>
					<td class="number">{formatProbability(one.reused.beyond)}<br />{formatProbability(one.fresh.beyond)}</td>
					<td class="number">{formatProbability(one.reused.stop)}<br />{formatProbability(one.fresh.stop)}</td>
					<td class="number">{formatNumber(one.cost.reuse)}</td>
					<td class="number">{formatNumber(one.cost.replace)}</td>
					<td class="why">{one.reasons[0] ? reasonSentence(one.reasons[0], part.station, units()) : ''}</td>
					<td
						><button
							type="button"
							class="btn decide"
							aria-expanded={opened === one.id}
							aria-label="{one.decided ? `${verdictName[one.decided]} stands` : 'Decide'}: {part.station.name}{part.cell
								.cylinder
								? `, ${part.cell.cylinder}`
								: ''}"
							onclick={() => (opened = opened === one.id ? undefined : one.id)}
							>{one.decided ? verdictName[one.decided] : 'Decide'} ▾</button
						></td
					>
				</tr>
				{#if opened === one.id}
					<tr
						><td colspan="8"
							><DecideRow
								{bench}
								{part}
								{one}
								proposed={says(one)}
								input={() => set.inputOf(one.id)}
								{locked}
								ondecided={() => (opened = undefined)}
							/></td
						></tr
					>
				{/if}
			{/if}
		{/each}
	</tbody>
</table>
<p class="soft mt-2">
	Chances come from each part’s own wear, from how such parts wear and end in your shop and in this pump, and from the
	priors of sheet and part type where the record is thin. Beyond its limit: to be renewed at the next service. Stops it:
	an unplanned stop before then. Parts are taken as independent of each other.
	{bench.bench.fleet.settled ? '' : 'The fit to your shop’s record has not come to rest: take the odds as rough.'}
</p>

<style>
	.problem {
		display: flex;
		align-items: center;
		gap: 1rem;
		margin-bottom: 8px;
	}
	.top {
		display: grid;
		grid-template-columns: 1.25fr 1fr;
		gap: 10px;
		margin-bottom: 8px;
	}
	.top section {
		padding: 6px 10px;
		display: grid;
		gap: 6px;
		align-content: start;
		/* Nothing below moves when the figures come. */
		min-height: 232px;
	}
	.far {
		line-height: 1.2;
	}
	.cost {
		font-size: 0.85rem;
		line-height: 1.3;
	}
	.accept {
		margin-left: auto;
	}
	.schools {
		display: grid;
		grid-template-columns: repeat(3, 1fr);
		gap: 6px;
	}
	.schools .btn {
		justify-content: flex-start;
		text-align: left;
		font-size: 0.88rem;
	}
	.valves {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 6px;
	}
	.decide {
		font-size: 0.85rem;
		padding: 0.2rem 0.6rem;
	}
	.decide {
		white-space: nowrap;
	}
	.part {
		gap: 8px;
		color: var(--ink);
	}
	/* Fixed columns: rows that change places lay nothing else out anew. */
	.set {
		table-layout: fixed;
	}
	.set th.number {
		white-space: normal;
	}
	.why,
	td .soft {
		font-size: 0.85rem;
	}
	@media (max-width: 900px) {
		.top {
			grid-template-columns: 1fr;
		}
	}
</style>
