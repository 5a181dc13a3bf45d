<!-- @component A pressure trace by the angle of the shaft, or its shaft orders as bars. -->
<script lang="ts">
	import {
		BarController,
		BarElement,
		CategoryScale,
		Chart,
		LinearScale,
		LineController,
		LineElement,
		PointElement
	} from 'chart.js';
	import { coloursOn } from '$lib/ui/colours';
	import { TURNS } from './lastTurns';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		label: string;
		kind: 'line' | 'bar';
		values: readonly number[];
		/** Where a line has its values: degrees of the shaft. */
		at?: readonly number[];
		across: string;
		up: string;
	}
	let { label, kind, values, at, across, up }: Props = $props();
	Chart.register(LineController, LineElement, BarController, BarElement, PointElement, LinearScale, CategoryScale);
	let canvas = $state<HTMLCanvasElement>();
	let drawn = $state.raw<Chart>();

	$effect(() => {
		if (!canvas) return;
		const [mark, soft, line] = coloursOn(canvas, '--mark', '--ink-soft', '--line');
		const chart = new Chart(canvas, {
			type: kind,
			data: {
				labels: [],
				datasets: [{ data: [], borderColor: mark, backgroundColor: mark, borderWidth: 1.5, pointRadius: 0 } as never]
			},
			options: {
				animation: false,
				maintainAspectRatio: false,
				scales: {
					x: {
						...(kind === 'line' ? { type: 'linear' as const, min: 0, max: 360 * TURNS } : {}),
						title: { display: true, text: across, color: soft },
						ticks: kind === 'line' ? { color: soft, stepSize: 90 } : { color: soft, maxTicksLimit: 13 },
						grid: { color: line }
					},
					y: {
						title: { display: true, text: up, color: soft },
						ticks: { color: soft, callback: (value) => format.number(Number(value), Number(value) % 1 === 0 ? 0 : 1) },
						grid: { color: line }
					}
				},
				plugins: { legend: { display: false } }
			}
		});
		drawn = chart;
		return () => chart.destroy();
	});
	$effect(() => {
		if (!drawn) return;
		if (at) drawn.data.datasets[0].data = values.map((y, i) => ({ x: at[i], y }));
		else {
			drawn.data.labels = values.map((_, i) => String(i + 1));
			drawn.data.datasets[0].data = [...values];
		}
		drawn.update('none');
	});
</script>

<div class="chart h-[200px] min-w-0" role="img" aria-label={label}><canvas bind:this={canvas}></canvas></div>
