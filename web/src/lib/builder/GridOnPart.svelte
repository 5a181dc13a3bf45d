<!-- @component Where a size is measured, on the part: places along it, angles round it as seen from the pressure side, or places on a face. -->
<script lang="ts">
	import type { PartTypeKey } from '@exetasis/core/part';
	import type { SheetCharacteristic, Station } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';

	interface Props {
		type: PartTypeKey;
		size: Pick<SheetCharacteristic, 'grid' | 'face'>;
		/** Where the part's own length is known. */
		surface?: Station['surface'];
	}
	let { type, size, surface }: Props = $props();
	const SIDE = 120;
	const RADIUS = 34;
	const INSET = 14;

	const along = $derived.by(() => {
		const { stations = [], stationsMm } = size.grid ?? {};
		const share = (i: number) =>
			stationsMm && surface ? stationsMm[i] / surface.lengthMm : (i + 0.5) / Math.max(1, stations.length);
		return stations.map((name, i) => ({ name, x: INSET + (SIDE - 2 * INSET) * Math.min(1, Math.max(0, share(i))) }));
	});
	const around = $derived(
		(size.grid?.anglesDeg ?? []).map((deg) => {
			const angle = (deg * Math.PI) / 180;
			return { deg, x: SIDE / 2 + RADIUS * Math.sin(angle), y: SIDE / 2 - RADIUS * Math.cos(angle) };
		})
	);
	function spread(mm: readonly number[]): number[] {
		const [least, most] = [Math.min(...mm), Math.max(...mm)];
		return mm.map((place) => INSET + ((SIDE - 2 * INSET) * (place - least)) / Math.max(1e-9, most - least));
	}
	const onFace = $derived(
		size.face
			? spread(size.face.rowsMm).flatMap((y) => spread(size.face!.columnsMm).map((x) => ({ x, y: SIDE - y })))
			: []
	);
	const words = $derived(
		size.face
			? `${size.face.rowsMm.length} × ${size.face.columnsMm.length} places on the face`
			: `${along.length} along the part, ${around.length} around it`
	);
</script>

{#if size.grid || size.face}
	<figure>
		<div class="flex flex-wrap gap-2" role="img" aria-label={words}>
			{#if size.face}
				<svg viewBox="0 0 {SIDE} {SIDE}" width={SIDE} height={SIDE}>
					<rect class="body" x="4" y="4" width={SIDE - 8} height={SIDE - 8} />
					{#each onFace as { x, y } (`${x} ${y}`)}<circle class="place" cx={x} cy={y} r="4" />{/each}
				</svg>
			{:else}
				<div class="part relative leading-[0]">
					<Glyph {type} size={SIDE} />
					<svg viewBox="0 0 {SIDE} {SIDE}" width={SIDE} height={SIDE}>
						{#each along as { name, x }, i (name)}
							<line class="place" x1={x} x2={x} y1="8" y2={SIDE - 18} />
							<text {x} y={SIDE - 4}>{i + 1}</text>
						{/each}
					</svg>
				</div>
				<svg viewBox="0 0 {SIDE} {SIDE}" width={SIDE} height={SIDE}>
					<circle class="body" cx={SIDE / 2} cy={SIDE / 2} r={RADIUS - 4} />
					{#each around as { deg, x, y } (deg)}
						<line class="place" x1={SIDE / 2} y1={SIDE / 2} x2={x} y2={y} />
						<text x={SIDE / 2 + (x - SIDE / 2) * 1.35} y={SIDE / 2 + (y - SIDE / 2) * 1.35 + 4}>{deg}°</text>
					{/each}
				</svg>
			{/if}
		</div>
		<figcaption class="soft text-[0.85rem]">
			{words}{#if along.length > 0}: {along.map(({ name }, i) => `${i + 1} ${name}`).join(', ')}{/if}
		</figcaption>
	</figure>
{/if}

<style>
	.part > svg {
		position: absolute;
		inset: 0;
	}
	.body {
		fill: none;
		stroke: var(--ink-soft);
	}
	.place {
		stroke: var(--mark);
		stroke-width: 1.5;
		fill: var(--mark);
	}
	text {
		font-size: 11px;
		text-anchor: middle;
		fill: var(--ink);
	}
</style>
