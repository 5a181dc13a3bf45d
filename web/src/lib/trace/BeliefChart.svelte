<!-- @component How probable each cause is, rebuild by rebuild, by all that is known now; where something was done it is marked. -->
<script lang="ts">
	import { Chart, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';
	import { coloursOn } from '$lib/ui/colours';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Line {
		readonly name: string;
		readonly now: readonly number[];
		readonly picked: boolean;
	}
	interface Props {
		hours: readonly number[];
		lines: readonly Line[];
		/** Rebuilds after which something was done about one of them. */
		actions: readonly { readonly rebuild: number; readonly name: string }[];
		onpick: (line: number) => void;
	}
	let { hours, lines, actions, onpick }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();
	Chart.register(LineController, LineElement, LinearScale, PointElement, Tooltip);

	const dashes = [[], [8, 4], [3, 3], [10, 3, 2, 3], [1, 4], [14, 5]];
	const points = ['circle', 'rect', 'triangle', 'rectRot', 'star', 'crossRot'] as const;
	const words = $derived(
		[
			...lines.map(({ name, now }) => `${name}: ${now.map((p) => format.probability(p)).join(', ')}`),
			...actions.map(({ rebuild, name }) => `action on ${name} at ${format.number(hours[rebuild])} h`)
		].join('; ')
	);

	$effect(() => {
		if (!canvas) return;
		const [mark, soft, line, pencil] = coloursOn(canvas, '--mark', '--ink-soft', '--line', '--pencil');
		const chart = new Chart(canvas, {
			type: 'line',
			data: {
				datasets: [
					...lines.map(({ name, now, picked }, i) => ({
						label: name,
						data: now.map((p, t) => ({ x: hours[t], y: 100 * p })),
						borderColor: picked ? mark : soft,
						backgroundColor: picked ? mark : soft,
						borderWidth: picked ? 3 : 1.5,
						borderDash: dashes[i % dashes.length],
						pointStyle: points[i % points.length],
						pointRadius: picked ? 6 : 4,
						clip: false as const
					})),
					...actions.map(({ rebuild, name }) => ({
						label: `action: ${name}`,
						data: [
							{ x: hours[rebuild], y: 0 },
							{ x: hours[rebuild], y: 100 }
						],
						borderColor: pencil,
						borderWidth: 2,
						borderDash: [4, 4],
						pointRadius: 0
					}))
				]
			},
			options: {
				animation: false,
				maintainAspectRatio: false,
				onClick: (_, elements) => {
					const at = elements[0]?.datasetIndex;
					if (at !== undefined && at < lines.length) onpick(at);
				},
				scales: {
					x: {
						type: 'linear',
						title: { display: true, text: 'Pump hours', color: soft },
						ticks: { color: soft, callback: (value) => format.number(Number(value)) },
						grid: { color: line }
					},
					y: {
						min: 0,
						max: 100,
						title: { display: true, text: 'Probability (%)', color: soft },
						ticks: { color: soft },
						grid: { color: line }
					}
				},
				plugins: {
					legend: { display: false },
					tooltip: {
						callbacks: { label: ({ dataset, parsed }) => `${dataset.label}: ${format.number(parsed.y ?? 0)} %` }
					}
				}
			}
		});
		return () => chart.destroy();
	});
</script>

<div class="chart h-[210px]" role="img" aria-label="Causes over {hours.length} rebuilds. {words}.">
	<canvas bind:this={canvas}></canvas>
</div>
