<!-- @component Expected cost per 1000 h over the interval to the next service: where it is least, and where one stands. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { CategoryScale, Chart, Legend, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
	import type { IntervalCost } from '@exetasis/core/decide';
	import { coloursOn } from '$lib/ui/colours';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		curve: readonly IntervalCost[];
		best: IntervalCost;
		hours: number;
		currency: string;
	}
	let { curve, best, hours, currency }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();
	Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Legend);

	const radii = () => curve.map((point) => (point.hours === best.hours || point.hours === hours ? 6 : 0));
	let drawn = $state.raw<Chart>();

	$effect(() => {
		if (!canvas) return;
		const [mark, soft, line, sound] = coloursOn(canvas, '--mark', '--ink-soft', '--line', '--sound');
		const chart = new Chart(canvas, {
			type: 'line',
			data: {
				datasets: [
					{
						data: curve.map((point) => ({ x: point.hours, y: point.per1000h })),
						borderColor: mark,
						borderWidth: 2,
						pointRadius: untrack(radii),
						pointStyle: curve.map((point) => (point.hours === best.hours ? 'rectRot' : 'circle')),
						pointBackgroundColor: curve.map((point) => (point.hours === best.hours ? sound : 'transparent')),
						pointBorderColor: curve.map((point) => (point.hours === best.hours ? sound : mark))
					}
				]
			},
			options: {
				animation: false,
				maintainAspectRatio: false,
				scales: {
					x: {
						type: 'linear',
						title: { display: true, text: 'Hours to the next service', color: soft },
						ticks: { color: soft, callback: (value) => format.number(Number(value)) },
						grid: { color: line }
					},
					y: {
						beginAtZero: true,
						title: { display: true, text: `${currency} per 1000 h`, color: soft },
						ticks: { color: soft, callback: (value) => format.number(Number(value)) },
						grid: { color: line }
					}
				},
				plugins: { legend: { display: false } }
			}
		});
		drawn = chart;
		return () => chart.destroy();
	});
	// Where one stands moves with the slider: the chart stays, the point goes along.
	$effect(() => {
		const pointRadius = radii();
		const [dataset] = drawn?.data.datasets ?? [];
		if (!dataset) return;
		Object.assign(dataset, { pointRadius });
		drawn!.update('none');
	});
</script>

<div
	class="chart h-[176px]"
	role="img"
	aria-label="Cost per 1000 hours over the interval; lowest at {format.number(best.hours)} hours, {format.number(
		best.per1000h
	)} {currency}."
>
	<canvas bind:this={canvas}></canvas>
</div>
