<!-- @component Rebuilds over the pump's hours: where the pattern came up, was there already, was absent, or could not count. -->
<script lang="ts">
	import { Chart, LinearScale, PointElement, ScatterController, Tooltip, Legend } from 'chart.js';
	import type { Recurrence } from '@exetasis/core/trace';
	import type { PumpTrace } from '@exetasis/server/trace/onePump';
	import { coloursOn } from '$lib/ui/colours';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		trace: PumpTrace;
		picked: Recurrence;
		name: string;
	}
	let { trace, picked, name }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();

	Chart.register(ScatterController, LinearScale, PointElement, Tooltip, Legend);

	const inspections = $derived(trace.inspections.filter(({ station }) => station === picked.station));
	const cylinders = $derived([...new Set(inspections.map(({ cylinder }) => cylinder))].sort((a, b) => a - b));
	type Seen = 'new' | 'still' | 'absent' | 'uncounted';
	const seenAs = ({ hours, patterns, seenBefore }: PumpTrace['inspections'][number]): Seen => {
		if (hours === undefined) return 'uncounted';
		return patterns.includes(picked.pattern) ? 'new' : seenBefore.includes(picked.pattern) ? 'still' : 'absent';
	};
	const points = (as: Seen) =>
		inspections
			.filter((inspection) => seenAs(inspection) === as)
			.map(({ pumpHours, cylinder }) => ({ x: pumpHours, y: cylinder }));
	const words = $derived(
		cylinders
			.map((cylinder) => {
				const here = inspections.filter((inspection) => inspection.cylinder === cylinder);
				return `cylinder ${cylinder}: ${here.filter((inspection) => seenAs(inspection) === 'new').length} of ${here.filter((inspection) => seenAs(inspection) !== 'uncounted').length} looks`;
			})
			.join('; ')
	);

	$effect(() => {
		if (!canvas) return;
		const [pencil, soft, line] = coloursOn(canvas, '--pencil', '--ink-soft', '--line');
		const chart = new Chart(canvas, {
			type: 'scatter',
			data: {
				datasets: [
					{
						label: `${name}, new or grown`,
						data: points('new'),
						pointStyle: 'crossRot',
						pointRadius: 9,
						borderColor: pencil,
						borderWidth: 3
					},
					{
						label: 'same mark, still present',
						data: points('still'),
						pointStyle: 'rectRot',
						pointRadius: 6,
						borderColor: pencil,
						backgroundColor: 'transparent',
						borderWidth: 1.5
					},
					{
						label: 'inspected, not found',
						data: points('absent'),
						pointStyle: 'circle',
						pointRadius: 5,
						borderColor: soft,
						backgroundColor: 'transparent',
						borderWidth: 1.5
					},
					{
						label: 'first inspection, not counted',
						data: points('uncounted'),
						pointStyle: 'line',
						pointRadius: 5,
						borderColor: soft,
						borderWidth: 1.5
					}
				]
			},
			options: {
				animation: false,
				maintainAspectRatio: false,
				scales: {
					x: {
						title: { display: true, text: 'Pump hours', color: soft },
						ticks: { color: soft, callback: (value) => format.number(Number(value)) },
						grid: { color: line }
					},
					y: {
						title: { display: true, text: 'Cylinder', color: soft },
						reverse: true,
						min: Math.min(...cylinders) - 0.5,
						max: Math.max(...cylinders) + 0.5,
						// One tick a cylinder, whatever the scale would choose.
						afterBuildTicks: (axis) => (axis.ticks = cylinders.map((value) => ({ value }))),
						ticks: { color: soft },
						grid: { color: line }
					}
				},
				plugins: { legend: { position: 'bottom', labels: { usePointStyle: true, color: soft } } }
			}
		});
		return () => chart.destroy();
	});
</script>

<div class="chart h-[220px] max-w-280 mb-2.5" role="img" aria-label="{name} over the pump’s hours. {words}.">
	<canvas bind:this={canvas}></canvas>
</div>
