<!-- @component What is still open before the release, by stage, each with the one act that goes on with it. -->
<script lang="ts">
	import { placeKey } from '@exetasis/core/mat';
	import { standingDecision, type Unproved } from '@exetasis/core/record';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import { placeName } from '$lib/words/place';
	import { unprovedWords } from '$lib/words/proof';
	import { partsCount } from '$lib/words/report';

	interface Props {
		jobId: string;
		/** Parts without a decision to reuse or replace. */
		open: readonly BenchPart[];
		buildSteps: readonly string[];
		proveSteps: readonly string[];
		tests: readonly Unproved[];
	}
	let { jobId, open, buildSteps, proveSteps, tests }: Props = $props();

	const placeOf = ({ station, cell }: BenchPart) => placeName(station.name, cell.cylinder);
	const unseen = $derived(open.filter(({ inspected }) => !inspected));
	const recheck = $derived(open.filter((part) => part.inspected && standingDecision(part.record)));
	const undecided = $derived(open.filter((part) => part.inspected && !standingDecision(part.record)));
	const inspect = ([first]: readonly BenchPart[]) =>
		first ? `/jobs/${jobId}/inspect?place=${placeKey(first.cell.station, first.cell.cylinder)}` : '';
	const points = $derived(
		[
			{
				stage: 'Inspect',
				what: `${partsCount(unseen.length)} not inspected`,
				all: unseen.map(placeOf),
				act: 'Continue inspecting',
				to: inspect(unseen)
			},
			{
				stage: 'Inspect',
				what: `${partsCount(recheck.length)} to recheck`,
				all: recheck.map(placeOf),
				act: 'Recheck parts',
				to: inspect(recheck)
			},
			{
				stage: 'Decide',
				what: `${partsCount(undecided.length)} not decided`,
				all: undecided.map(placeOf),
				act: 'Decide parts',
				to: `/jobs/${jobId}/decide`
			},
			{
				stage: 'Build',
				what: `${buildSteps.length} ${buildSteps.length === 1 ? 'step' : 'steps'} not done`,
				all: buildSteps,
				act: 'Continue building',
				to: `/jobs/${jobId}/build`
			},
			{
				stage: 'Prove',
				what: `${proveSteps.length + tests.length} ${proveSteps.length + tests.length === 1 ? 'step or test' : 'steps and tests'} missing or not passed`,
				all: [...proveSteps, ...tests.map(unprovedWords)],
				act: 'Continue testing',
				to: `/jobs/${jobId}/prove`
			}
		].filter(({ all }) => all.length > 0)
	);
</script>

<section class="sheet px-[0.9rem] py-[0.6rem] mb-2.5" aria-labelledby="open-points">
	<h2 id="open-points">Open points</h2>
	<ul>
		{#each points as { stage, what, all, act, to } (`${stage}/${act}`)}
			<li class="grid grid-cols-[5rem_1fr_auto] items-start gap-[0.8rem] border-t border-line py-1">
				<b class="leading-11">{stage}</b>
				<details class="printed">
					<summary class="row min-h-11 content-center">{what}</summary>
					<ul class="columns-[2_16rem] squares text-[0.9rem]">
						{#each all as point, i (i)}<li>{point}</li>{/each}
					</ul>
				</details>
				<a class="btn" href={to}>{act}</a>
			</li>
		{/each}
	</ul>
</section>
