<!-- @component How long the parts of a known pump have run, cylinder by cylinder, as a help to choose what is opened. -->
<script lang="ts">
	import type { AgesAt } from '@exetasis/server/partAges';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		pump: string;
	}
	let { pump }: Props = $props();
	let ages = $state.raw<readonly AgesAt[]>([]);
	$effect(() => {
		let asked = true;
		// Without a network the choice is made without it.
		fetch(`/pumps/${pump}/ages`)
			.then(async (answer) => {
				if (asked && answer.ok) ages = (await answer.json()) as AgesAt[];
			})
			.catch(() => undefined);
		return () => (asked = false);
	});
	const words = ({ known, unknown, parts }: AgesAt): string => {
		if (!known) return 'age unknown';
		const range =
			known.least === known.most
				? `${format.number(known.most)} h`
				: `${format.number(known.least)} to ${format.number(known.most)} h`;
		return unknown > 0 ? `${range}; ${unknown} of ${parts} unknown` : range;
	};
</script>

{#if ages.length > 0}
	<div class="text-[0.88rem] leading-[1.3]" role="group" aria-label="Age of the parts">
		<b>Age of the parts at the last reading</b>
		{#each ages as age (age.cylinder)}<p>
				{age.cylinder === 0 ? 'Pump' : `Cylinder ${age.cylinder}`}: <span class="figures">{words(age)}</span>
			</p>{/each}
	</div>
{/if}
