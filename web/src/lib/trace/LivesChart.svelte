<!-- @component A chart of lives: the fitted share that has ended on Weibull paper with its band, or survival or replacements in steps. -->
<script lang="ts" module>
	export interface Series {
		readonly name: string;
		readonly points: readonly { readonly x: number; readonly y: number }[];
		readonly kind: 'line' | 'band' | 'steps' | 'ticks' | 'ranges';
		readonly strong?: boolean;
	}
</script>

<script lang="ts">
	import {
		Chart,
		Filler,
		Legend,
		LinearScale,
		LineController,
		LineElement,
		LogarithmicScale,
		PointElement,
		Tooltip
	} from 'chart.js';
	import { coloursOn } from '$lib/ui/colours';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		title: string;
		series: readonly Series[];
		y: string;
		/** Heights given on ln(−ln(1 − share)), hours on their logarithm: a Weibull distribution is a straight line. */
		weibullPaper?: boolean;
		/** Spoken in the place of the picture. */
		words: string;
		/** Name of the picture when it is kept. */
		file: string;
	}
	let { title, series, y, weibullPaper = false, words, file }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();
	Chart.register(LineController, LineElement, LinearScale, LogarithmicScale, PointElement, Tooltip, Legend, Filler);

	const SHARES = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 0.8, 0.95, 0.99];
	const onPaper = (share: number) => Math.log(-Math.log1p(-share));
	// Of a logarithmic axis 1, 3 and 10 are named: more would run into each other.
	const isNamed = (hours: number) => [1, 3].includes(Math.round(hours / 10 ** Math.floor(Math.log10(hours) + 1e-9)));
	const dashes = [[], [8, 4], [3, 3], [10, 3, 2, 3]];

	$effect(() => {
		if (!canvas) return;
		const [mark, soft, line, pencil] = coloursOn(canvas, '--mark', '--ink-soft', '--line', '--pencil');
		const colour = (i: number) => (i % 2 === 0 ? mark : pencil);
		const named = [...new Set(series.map(({ name }) => name))];
		const chart = new Chart(canvas, {
			type: 'line',
			data: {
				datasets: series.map(({ name, points, kind }) => {
					const own = named.indexOf(name);
					return {
						label: name,
						data: points.map((point) => ({ ...point })),
						borderColor: colour(own),
						backgroundColor: colour(own),
						borderDash: kind === 'band' ? [2, 3] : dashes[Math.floor(own / 2) % dashes.length],
						borderWidth: kind === 'band' || kind === 'ranges' ? 1 : 2,
						stepped: kind === 'steps' ? ('before' as const) : false,
						showLine: kind !== 'ticks',
						spanGaps: false,
						pointRadius: kind === 'ticks' ? 5 : 0,
						pointStyle: kind === 'ticks' ? ('line' as const) : ('circle' as const),
						rotation: 90
					};
				})
			},
			options: {
				animation: false,
				maintainAspectRatio: false,
				scales: {
					x: {
						type: weibullPaper ? 'logarithmic' : 'linear',
						min: weibullPaper ? undefined : 0,
						title: { display: true, text: 'Hours', color: soft },
						ticks: {
							color: soft,
							autoSkip: !weibullPaper,
							maxRotation: 0,
							maxTicksLimit: weibullPaper ? undefined : 8,
							callback: (value) => (!weibullPaper || isNamed(Number(value)) ? format.number(Number(value)) : '')
						},
						grid: { color: line }
					},
					y: {
						type: 'linear',
						min: weibullPaper ? onPaper(0.01) : 0,
						max: weibullPaper ? onPaper(0.99) : undefined,
						title: { display: true, text: y, color: soft },
						afterBuildTicks: (axis) => {
							if (weibullPaper) axis.ticks = SHARES.map((share) => ({ value: onPaper(share) }));
						},
						ticks: {
							color: soft,
							autoSkip: false,
							callback: (value) =>
								weibullPaper
									? format.number(100 * -Math.expm1(-Math.exp(Number(value))))
									: format.number(Number(value), Number(value) < 10 && Number(value) % 1 !== 0 ? 1 : 0)
						},
						grid: { color: line }
					}
				},
				plugins: {
					legend: {
						display: named.length > 1,
						position: 'bottom',
						labels: {
							color: soft,
							usePointStyle: false,
							boxHeight: 2,
							// One name a group: its band, its steps and its ticks go without.
							filter: ({ datasetIndex }) =>
								series.findIndex(({ name }) => name === series[datasetIndex ?? 0]?.name) === datasetIndex
						}
					},
					tooltip: { enabled: false }
				}
			}
		});
		return () => chart.destroy();
	});

	function keep() {
		if (!canvas) return;
		// On the page's paper, so that it can be read wherever it is put.
		const copy = document.createElement('canvas');
		copy.width = canvas.width;
		copy.height = canvas.height;
		const context = copy.getContext('2d')!;
		context.fillStyle = getComputedStyle(document.body).backgroundColor;
		context.fillRect(0, 0, copy.width, copy.height);
		context.drawImage(canvas, 0, 0);
		const link = document.createElement('a');
		link.download = `${file.replaceAll(/[^\w-]/g, '_')}.png`;
		link.href = copy.toDataURL('image/png');
		link.click();
	}
</script>

<figure>
	<figcaption class="flex items-center justify-between gap-2">
		<b>{title}</b>
		<button type="button" class="btn" onclick={keep} aria-label="Save as PNG: {title}">PNG</button>
	</figcaption>
	<div class="chart h-[270px]" role="img" aria-label="{title}. {words}"><canvas bind:this={canvas}></canvas></div>
</figure>
