<!-- @component Where the crank has to stand for a step, how far to turn it from here, and how the plungers stand meanwhile. -->
<script lang="ts">
	import { anglesFor, drawnBackMm, turnOn, type CrankDrive } from '@exetasis/core/mechanics';
	import type { ModelSheet, Step } from '@exetasis/core/record';
	import { crankWords } from '$lib/words/steps';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: ModelSheet;
		position: NonNullable<Step['crank']>;
		/** Why the shaft may not be turned now, where it may not. */
		shut: string | undefined;
	}
	let { sheet, position, shut }: Props = $props();

	const drive = $derived<CrankDrive | undefined>(
		sheet.crank && { strokeMm: sheet.strokeMm, rodMm: sheet.crank.rodMm, phasesDeg: sheet.crank.phasesDeg }
	);
	const cylinders = $derived(Array.from({ length: sheet.cylinders }, (_, i) => i + 1));
	let angle = $state(0);
	let cylinder = $state(1);
	const wanted = $derived.by(() => {
		if (!drive) return undefined;
		const { stand } = position;
		const which = typeof position.cylinder === 'number' ? position.cylinder : cylinder;
		return anglesFor(drive, stand, stand === 'outerLevel' ? 1 : which)[0];
	});
	const left = $derived(wanted === undefined ? 0 : turnOn(angle, wanted));
	const there = $derived(left < 1 || left > 359);
	const each = $derived(position.stand !== 'outerLevel' && typeof position.cylinder !== 'number');
	const back = (which: number) => (drive ? drawnBackMm(drive, angle, which) : 0);

	const ROW = 34;
	const SCALE = $derived(drive ? 90 / drive.strokeMm : 1);
	function standsForward(which: number) {
		if (drive) angle = anglesFor(drive, 'forward', which)[0];
	}
</script>

<section class="sheet px-3 py-2 text-[0.9rem]" aria-label="Crank">
	<p><b>Crank</b>: {crankWords(position)}{sheet.crank ? `. ${sheet.crank.access}` : ''}</p>
	{#if shut}
		<p class="wrong" role="alert"><b>Do not turn the shaft.</b> {shut}</p>
	{:else if drive}
		<div class="two grid grid-cols-[minmax(220px,340px)_1fr] gap-3 items-center max-[700px]:grid-cols-[1fr]">
			<svg
				viewBox="0 0 300 {ROW * sheet.cylinders + 10}"
				role="img"
				aria-label={cylinders
					.map((cylinder) => `Plunger ${cylinder} back by ${format.number(back(cylinder), 1)} mm`)
					.join(', ')}
			>
				{#each cylinders as cylinder (cylinder)}
					{@const y = ROW * (cylinder - 0.5) + 5}
					{@const x = 20 + back(cylinder) * SCALE}
					{@const theta = ((angle + drive.phasesDeg[cylinder - 1]) * Math.PI) / 180}
					{@const r = 12}
					<text x="2" y={y + 4}>{cylinder}</text>
					<rect class="barrel" x="18" y={y - 11} width="132" height="22" />
					<rect class="plunger" {x} y={y - 8} width="62" height="16" />
					<circle class="throw" cx="262" cy={y} {r} />
					<line class="rod" x1={x + 62} y1={y} x2={262 - r * Math.cos(theta)} y2={y - r * Math.sin(theta)} />
					<circle class="pin" cx={262 - r * Math.cos(theta)} cy={y - r * Math.sin(theta)} r="3.5" />
				{/each}
			</svg>
			<div class="grid gap-1.5">
				<div class="flex flex-wrap items-center gap-1.5" role="group" aria-label="Crank position now">
					Fully forward now:
					{#each cylinders as cylinder (cylinder)}<button
							type="button"
							class="btn"
							onclick={() => standsForward(cylinder)}>{cylinder} forward</button
						>{/each}
				</div>
				{#if each}<div class="flex flex-wrap items-center gap-1.5" role="group" aria-label="Required plunger">
						Wanted {position.stand}
						{#each cylinders as other (other)}<button
								type="button"
								class="btn"
								aria-pressed={cylinder === other}
								onclick={() => (cylinder = other)}>{other}</button
							>{/each}
					</div>{/if}
				<label>Turned so far <input type="range" min="0" max="359" step="1" bind:value={angle} /></label>
				<p class="text-[1.15rem]" role="status">
					{#if there}<b>In position.</b>{:else}Turn by hand another <b class="figures">{format.number(left, 0)}°</b>
						<span class="soft"
							>({format.number(left / 60, 1)} flats of a hex nut, {format.number(left / 360, 2)} turns)</span
						>{/if}
				</p>
			</div>
		</div>
	{:else}
		<p class="soft">The sheet does not state the crank angles. Turn the crank by hand and watch the plungers.</p>
	{/if}
</section>

<style>
	svg {
		width: 100%;
	}
	text {
		font-size: 12px;
		fill: currentColor;
	}
	.barrel,
	.throw {
		fill: none;
		stroke: var(--ink-soft);
	}
	.plunger {
		fill: var(--sheet);
		stroke: currentColor;
		stroke-width: 1.4;
	}
	.rod {
		stroke: currentColor;
		stroke-width: 2;
	}
	.pin {
		fill: var(--mark);
	}
	input[type='range'] {
		width: 100%;
		height: 36px;
	}
</style>
