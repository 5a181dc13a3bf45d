<!-- @component How a group of bolts is tightened: their places with their numbers, and the passes with their torque. -->
<script lang="ts">
	import { tighteningPasses } from '@exetasis/core/build';
	import type { Fastening } from '@exetasis/core/record';
	import { torqueFromWords } from '$lib/words/limits';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		fastening: Fastening;
		/** Bolts that are tight in the pass in hand, and the one whose turn it is: numbers of the sheet's list, from 0. */
		tight?: ReadonlySet<number>;
		next?: { readonly pass: number; readonly bolt: number };
	}
	let { fastening, tight, next }: Props = $props();

	const passes = $derived(tighteningPasses(fastening));
	const places = $derived(new Map(passes[0].order.map((index, i) => [index, i + 1])));
	const { bolts } = $derived(fastening);
	const half = $derived({
		x: Math.max(20, ...bolts.map(({ xMm }) => Math.abs(xMm))) + 18,
		y: Math.max(12, ...bolts.map(({ yMm }) => Math.abs(yMm))) + 18
	});
	const torque = (nm: number) => format.quantity(nm, format.units.torque);
	const patternSays = {
		cross: 'crosswise',
		alternating: 'every second bolt',
		middleOutward: 'from the middle outwards',
		circular: 'in circles from the middle',
		innerThenOuter: 'inner bolts, then outer bolts',
		asListed: 'in the numbered order'
	} as const;
	const words = $derived([
		...(fastening.mostNm ? [`Maximum ${torque(fastening.mostNm)}.`] : []),
		...(fastening.slots ? ['If slot and hole do not line up, tighten to the next slot. Never turn back.'] : []),
		...(fastening.mostTurnDeg
			? [`At most ${format.number(fastening.mostTurnDeg)}° past hand-tight. More crushes the parts below.`]
			: []),
		...(fastening.power && !fastening.power.runIn ? ['Power tool only to loosen. Tighten by hand.'] : []),
		...(bolts.some(({ mark }) => mark === 'pin')
			? ['Dashed places hold a guide pin or stud first. Remove it when enough bolts hold.']
			: [])
	]);
</script>

<div class="grid gap-1 text-[0.9rem] leading-[1.3]">
	{#if bolts.length > 1}
		<svg
			viewBox="{-half.x} {-half.y} {2 * half.x} {2 * half.y}"
			role="img"
			aria-label="Bolts, seen from outside: tightened {patternSays[fastening.pattern]}, {passes[0].order
				.map((index) => `place ${index + 1}`)
				.join(', ')}"
		>
			{#each bolts as { xMm, yMm, mark }, index (index)}
				<circle
					cx={xMm}
					cy={-yMm}
					r="12"
					class:shut={mark === 'doNotTouch'}
					class:pin={mark === 'pin'}
					class:tight={tight?.has(index)}
					class:next={next?.bolt === index}
				/>
				<text x={xMm} y={-yMm + 4.5} class:on={next?.bolt === index}>{places.get(index) ?? '×'}</text>
			{/each}
		</svg>
	{/if}
	<ol class="list-decimal pl-[1.3rem]">
		{#each passes as { share, torqueNm }, i (i)}
			<li aria-current={next?.pass === i ? 'step' : undefined}>
				{#if torqueNm === undefined}<b>By feel</b>: no torque is stated. {fastening.byFeel ?? ''}{:else}<b
						class="figures">{torque(torqueNm)}</b
					>{share < 1 ? '' : i > 0 && passes[i - 1].share === 1 ? ', then once more all around' : ''}{/if}{i === 0 &&
				bolts.length > 1
					? `, ${patternSays[fastening.pattern]}`
					: ''}
			</li>
		{/each}
	</ol>
	{#each words as sentence (sentence)}<p>{sentence}</p>{/each}
	<p class="soft">
		{torqueFromWords[fastening.torqueFrom]}{fastening.statedIn && fastening.torqueNm !== undefined
			? `, stated as ${format.quantity(fastening.torqueNm, fastening.statedIn)}`
			: ''}.{bolts.some(({ mark }) => mark === 'doNotTouch') ? ' × = do not touch.' : ''}
	</p>
</div>

<style>
	svg {
		width: 100%;
		max-height: 190px;
		border: 1px solid var(--line);
	}
	circle {
		fill: none;
		stroke: currentColor;
		stroke-width: 1.4;
	}
	circle.pin {
		stroke-dasharray: 3 2;
	}
	circle.tight {
		fill: color-mix(in oklab, var(--sound) 35%, transparent);
		stroke: var(--sound);
	}
	circle.next {
		fill: var(--mark);
		stroke: var(--mark);
	}
	text.on {
		fill: var(--sheet);
		font-weight: 700;
	}
	[aria-current] {
		font-weight: 650;
	}
	circle.shut {
		stroke: var(--ink-soft);
	}
	text {
		font-size: 13px;
		text-anchor: middle;
		fill: currentColor;
	}
</style>
