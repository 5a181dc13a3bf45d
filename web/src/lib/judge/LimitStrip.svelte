<!-- @component The limit strip: the value as a distribution against its discard limit, and its ghost at the next service. -->
<script lang="ts">
	import type { JudgedCharacteristic, Outlook } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		judged: JudgedCharacteristic;
		outlook?: Outlook;
	}
	let { judged, outlook }: Props = $props();

	const WIDTH = 320;
	const unit = $derived(shownUnit(dimensionOf(judged.sheet.unit), format.units));
	const limit = $derived(judged.limit);
	const nominal = $derived(judged.sheet.nominal);
	const span = $derived(limit - nominal);
	// New stands at the left, the limit at four fifths, and wear runs to the right whichever way the size goes.
	const x = (value: number) => 8 + ((value - nominal) / span + 0.12) * ((WIDTH - 16) / 1.4);
	const scale = $derived((WIDTH - 16) / 1.4 / Math.abs(span));

	// A bell of the given spread as a path; drawn as the normal curve that the t distribution nears.
	function bell(centre: number, u: number, height: number): string {
		const points = Array.from({ length: 41 }, (_, i) => {
			const z = -3.2 + (6.4 * i) / 40;
			return `${(x(centre) + z * Math.max(u * scale, 0.8)).toFixed(1)} ${(46 - height * Math.exp((-z * z) / 2)).toFixed(1)}`;
		});
		return `M${points.join('L')}Z`;
	}
	const future = $derived(outlook && nominal + Math.sign(span) * outlook.expected);
	// Far beyond what the strip shows: an arrow at its edge.
	const offStrip = $derived(x(judged.value) > WIDTH);
	const words = $derived(
		`${format.quantity(judged.value, unit)}, new ${format.quantity(nominal, unit)}, limit ${format.quantity(limit, unit)}, ` +
			`${format.probability(judged.conformity.probabilityBeyond)} beyond now` +
			(outlook ? `, ${format.probability(outlook.risk.probability)} at the next service` : '')
	);
</script>

<svg viewBox="0 0 {WIDTH} 66" role="img" aria-label={words}>
	<rect class="beyond" x={x(limit)} y="6" width={Math.max(0, WIDTH - x(limit))} height="40" />
	<path class="axis" d="M0 46H{WIDTH}" />
	<path class="tick" d="M{x(nominal)} 40V50" />
	{#if outlook && future !== undefined}<path class="ghost" d={bell(future, outlook.u, 24)} />{/if}
	<path class="now" d={bell(judged.value, judged.budget.u, 34)} />
	<path class="limit" d="M{x(limit)} 4V50" />
	{#if offStrip}<path class="now" d="M{WIDTH - 16} 18L{WIDTH - 3} 26L{WIDTH - 16} 34Z" />{/if}
	<text x={x(nominal)} y="61" text-anchor="start">new {format.quantity(nominal, unit)}</text>
	<text class="limit-word" x={x(limit)} y="61" text-anchor="middle">limit {format.quantity(limit, unit)}</text>
</svg>

<style>
	svg {
		width: 100%;
		max-height: 76px;
		overflow: hidden;
	}
	.axis,
	.tick {
		stroke: var(--ink-soft);
		stroke-width: 1;
	}
	.beyond {
		fill: color-mix(in oklab, var(--pencil) 10%, transparent);
	}
	.limit {
		stroke: var(--pencil);
		stroke-width: 2;
	}
	.now {
		fill: color-mix(in oklab, var(--mark) 45%, transparent);
		stroke: var(--mark);
	}
	.ghost {
		fill: none;
		stroke: var(--ink-soft);
		stroke-dasharray: 3 3;
	}
	text {
		font: 10.5px var(--figures);
		fill: var(--ink-soft);
	}
	.limit-word {
		fill: var(--pencil);
	}
</style>
