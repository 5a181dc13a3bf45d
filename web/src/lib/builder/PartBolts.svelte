<!-- @component Bolts, nuts or screws that are tightened together, on a drawing: where they are, in which order, to which torque. -->
<script lang="ts">
	import { boltPatterns, propertyClasses, proposedTorque, type PropertyClass } from '@exetasis/core/build';
	import { boltsAlone, boltsOut, defined, withPartChanged } from '@exetasis/core/draft';
	import { parseQuantity, shownUnit } from '@exetasis/core/quantity';
	import type { Fastening, Station } from '@exetasis/core/record';
	import { fasteningSchema } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { torqueFromWords } from '$lib/words/limits';
	import BoltDrawing from './BoltDrawing.svelte';
	import { arranged, arrangements, type Arrangement } from './arrangements';
	import type { DraftState } from './draft.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		draft: DraftState;
		part: Station;
	}
	let { draft, part }: Props = $props();
	const fastening = $derived(part.fastening);
	let shape = $state<Arrangement | 'byHand'>('circle');
	let problem = $state('');

	const patternName: Readonly<Record<(typeof boltPatterns)[number], string>> = {
		cross: 'Crosswise',
		alternating: 'Alternating sides',
		middleOutward: 'From the middle outward',
		circular: 'Around',
		innerThenOuter: 'Inner ring, then outer ring',
		asListed: 'As numbered'
	};

	function save(next: Fastening | undefined) {
		problem = '';
		if (next) {
			const parsed = fasteningSchema.safeParse(next);
			if (!parsed.success) {
				const [{ path, message }] = parsed.error.issues;
				problem = `${path.length > 0 ? `${path.join(' ')} ` : ''}${message}.`;
				return;
			}
		}
		const pieces = next ? boltsOut(next) : part.pieces;
		draft.change(withPartChanged(draft.body, part.key, { fastening: next, pieces }));
	}
	const change = (next: Partial<Fastening>) => fastening && save(defined({ ...fastening, ...next }));
	function place(bolts: Fastening['bolts']) {
		if (fastening) change({ bolts });
		else save(boltsAlone(bolts));
	}
	const byHand = $derived(shape === 'byHand');
	const passes = $derived((fastening?.stages ?? []).map((share) => Math.round(share * 100)).join(', '));
	// Percent of the torque; what is no number is left for the schema to refuse.
	const readPasses = (text = '') =>
		text.split(',').map((written) => {
			const parsed = parseQuantity(written, 'pieces');
			return parsed.kind === 'quantity' ? parsed.base / 100 : Number.NaN;
		});

	// Of the bolt whose torque is proposed.
	let bolt = $state.raw({ diameterMm: 8, friction: 0.12 });
	let strength = $state<PropertyClass>('8.8');
	const proposed = $derived(proposedTorque(bolt, strength));

	// Of the arrangement, before it is drawn.
	let count = $state(4);
	let wide = $state(80);
</script>

<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
	<Choose
		label="Arrangement"
		value={shape}
		options={[...arrangements, ['byHand', 'By hand, on the drawing']]}
		onchoose={(chosen) => (shape = chosen)}
	/>
	{#if shape !== 'byHand'}
		{@const usual = shape}
		<QuantityField
			label="Bolts"
			value={count}
			unit="pieces"
			check={(value) =>
				Number.isInteger(value) && value >= 1 && value <= 40 ? undefined : 'Type a whole number from 1 to 40.'}
			onchange={(value) => (count = value ?? count)}
		/>
		<QuantityField
			label={shape === 'circle' ? 'Diameter' : 'Width'}
			value={wide}
			unit="mm"
			check={(value) => (value > 0 ? undefined : 'This must be above 0.')}
			onchange={(value) => (wide = value ?? wide)}
		/>
		<div class="label">
			<button type="button" class="btn" onclick={() => place(arranged(usual, count, wide))}
				>{fastening ? 'Place again' : 'Place bolts'}</button
			>
		</div>
	{/if}
</div>
{#if fastening || byHand}<BoltDrawing name={part.name} {fastening} adding={byHand} onchange={place} />{/if}
{#if fastening}
	<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
		<Choose
			label="Order"
			value={fastening.pattern}
			options={boltPatterns.map((pattern) => [pattern, patternName[pattern]] as const)}
			onchoose={(pattern) => change({ pattern })}
		/>
		<TextEdit label="Passes, % of torque" value={passes} onchange={(text) => change({ stages: readPasses(text) })} />
		<QuantityField
			label="Torque"
			value={fastening.torqueNm}
			unit="Nm"
			optional
			check={(value) => (value > 0 ? undefined : 'The torque must be above 0.')}
			onchange={(torqueNm) =>
				change({
					torqueNm,
					byFeel: torqueNm === undefined ? fastening.byFeel : undefined,
					torqueFrom: fastening.torqueFrom === 'assumed' ? 'shop' : fastening.torqueFrom
				})}
		/>
		<Choose
			label="Stated by"
			value={fastening.torqueFrom}
			options={[
				['maker', 'maker'],
				['shop', 'shop'],
				['assumed', 'assumed']
			]}
			onchoose={(torqueFrom) => change({ torqueFrom })}
		/>
	</div>
	{#if fastening.torqueFrom === 'assumed' && fastening.torqueNm !== undefined}
		<p class="text-doubt">{torqueFromWords.assumed}.</p>
	{/if}
	{#if fastening.torqueNm === undefined}
		<details>
			<summary class="min-h-11 flex items-center cursor-pointer">Propose a torque from the size of the bolt</summary>
			<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
				<QuantityField
					label="Thread, nominal diameter"
					value={bolt.diameterMm}
					unit="mm"
					check={(value) => (value >= 3 && value <= 36 ? undefined : 'Type a thread from M3 to M36.')}
					onchange={(diameterMm = bolt.diameterMm) => (bolt = { ...bolt, diameterMm })}
				/>
				<Choose
					label="Property class, on the head"
					value={strength}
					options={propertyClasses.map((propertyClass) => [propertyClass, propertyClass] as const)}
					onchoose={(chosen) => (strength = chosen)}
				/>
				<QuantityField
					label="Friction"
					value={bolt.friction}
					unit="pieces"
					suffix="oiled steel: 0.12"
					check={(value) => (value > 0 && value <= 1 ? undefined : 'Type a friction from 0.01 to 1.')}
					onchange={(friction = bolt.friction) => (bolt = { ...bolt, friction })}
				/>
				<div class="label">
					<button
						type="button"
						class="btn"
						onclick={() =>
							change({ torqueNm: proposed, torqueFrom: 'assumed', byFeel: undefined, thread: { ...bolt } })}
						>Use {format.quantity(proposed, shownUnit('torque', format.units))}</button
					>
				</div>
			</div>
			<p class="soft">
				For a steel bolt in a steel thread, coarse pitch. A thread in brass or aluminium carries less. A friction above
				the real one overtightens the bolt. The torque stays marked as assumed.
			</p>
		</details>
		<TextEdit
			label="No torque: what is at risk by feel"
			value={fastening.byFeel}
			optional
			onchange={(byFeel) => change({ byFeel })}
		/>
	{/if}
	<div><button type="button" class="btn" onclick={() => save(undefined)}>Delete bolts and torque</button></div>
{/if}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
