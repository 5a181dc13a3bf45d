<!-- @component The sizes of the part in hand: new size, discard limit, who states it, when and where it is measured. -->
<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { defined, usualSize, withPartChanged, type Customs } from '@exetasis/core/draft';
	import { partType, type Characteristic } from '@exetasis/core/part';
	import { parseQuantity } from '@exetasis/core/quantity';
	import { discardLimit, type SheetCharacteristic, type Station } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { limitSource } from '$lib/words/limits';
	import type { DraftState } from './draft.svelte';
	import GridOnPart from './GridOnPart.svelte';

	interface Props {
		draft: DraftState;
		part: Station;
		customs: Customs;
	}
	let { draft, part, customs }: Props = $props();
	const all = $derived(partType(part.type).characteristics);
	const missing = $derived(
		all.filter(({ key }) => !part.characteristics.some((characteristic) => characteristic.key === key))
	);
	/** Sizes whose new value is not typed yet. */
	let begun = $state<readonly string[]>([]);
	const custom = (key: string) => customs[part.type]?.sizes.find((size) => size.key === key);
	const knownSize = (key: string): Characteristic => all.find((size) => size.key === key)!;
	const sideOf = (size: SheetCharacteristic) =>
		discardLimit(size)?.side ?? (knownSize(size.key).wears === 'down' ? 'min' : 'max');

	const save = (characteristics: readonly SheetCharacteristic[]) =>
		draft.change(withPartChanged(draft.body, part.key, { characteristics: [...characteristics] }));
	const change = (key: string, next: Partial<SheetCharacteristic>) =>
		save(
			part.characteristics.map((characteristic) =>
				characteristic.key === key ? defined({ ...characteristic, ...next }) : characteristic
			)
		);
	function begin(size: Characteristic, nominal: number | undefined) {
		if (nominal === undefined) return;
		begun = begun.filter((key) => key !== size.key);
		const usual = usualSize(size.key, size.unit, nominal, custom(size.key));
		const places = size.form === 'flatness' && !usual.face ? { face: { rowsMm: [0, 50], columnsMm: [0, 50] } } : {};
		const round =
			size.form === 'runout' && !usual.grid ? { grid: { stations: ['Middle'], anglesDeg: [0, 90, 180, 270] } } : {};
		save([...part.characteristics, { ...usual, ...places, ...round }]);
	}
	const drop = (key: string) => save(part.characteristics.filter((characteristic) => characteristic.key !== key));

	const beyond = (size: SheetCharacteristic, limit: number): string | undefined => {
		const side = sideOf(size);
		if (limit <= 0) return 'The limit must be above 0.';
		if (side === 'min' ? limit < size.nominal : limit > size.nominal) return undefined;
		return `This size wears ${side === 'min' ? 'down' : 'up'}: the limit must be ${side === 'min' ? 'below' : 'above'} the new size.`;
	};
	const newSizeFits = (size: SheetCharacteristic, nominal: number): string | undefined => {
		if (nominal <= 0) return 'The new size must be above 0.';
		const limit = discardLimit(size);
		return limit && beyond({ ...size, nominal }, limit.value)
			? 'The new size lies beyond the limit. Change the limit first.'
			: undefined;
	};

	const MOST_PLACES = 12;
	const listOf = (text: string | undefined) =>
		(text ?? '')
			.split(',')
			.map((written) => written.trim())
			.filter(Boolean);
	function degreesIn(text: string): number {
		const parsed = parseQuantity(text, 'deg');
		return parsed.kind === 'quantity' ? parsed.base : Number.NaN;
	}
	let gridProblem = $state<Readonly<Record<string, string>>>({});
	function places(size: SheetCharacteristic, stations: readonly string[], angles: readonly string[]) {
		const degrees = angles.map(degreesIn);
		const wrong =
			stations.length > MOST_PLACES || angles.length > MOST_PLACES
				? `At most ${MOST_PLACES} places along the part and ${MOST_PLACES} around it.`
				: degrees.some((deg) => !Number.isFinite(deg) || deg < 0 || deg >= 360)
					? 'Angles are numbers from 0 to 359, such as 0, 90.'
					: new Set(degrees).size < degrees.length
						? 'An angle is named twice.'
						: '';
		gridProblem = { ...gridProblem, [size.key]: wrong };
		if (wrong !== '') return;
		const one = stations.length <= 1 && degrees.length <= 1;
		change(size.key, {
			grid: one
				? undefined
				: { stations: stations.length > 0 ? [...stations] : ['Middle'], anglesDeg: degrees.length > 0 ? degrees : [0] }
		});
	}
</script>

{#each part.characteristics as size (size.key)}
	{@const known = knownSize(size.key)}
	{@const limit = discardLimit(size)}
	<fieldset class="relative border border-line px-2 pt-1 pb-2 grid gap-1.5">
		<legend class="font-semibold px-1">{known.name} <span class="soft">with {known.instrument}</span></legend>
		<button
			type="button"
			class="btn-icon absolute right-0 -top-[14px]"
			aria-label="Delete {known.name}"
			onclick={() => drop(size.key)}><X size={18} aria-hidden="true" /></button
		>
		<div class="grid grid-cols-[repeat(3,1fr)] gap-1.5 items-start">
			<QuantityField
				label="New"
				value={size.nominal}
				unit={size.unit}
				check={(nominal) => newSizeFits(size, nominal)}
				onchange={(nominal) => nominal !== undefined && change(size.key, { nominal })}
			/>
			{#if !known.limitless}
				<QuantityField
					label="Limit"
					value={limit?.value}
					unit={size.unit}
					check={(value) => beyond(size, value)}
					onchange={(value) =>
						change(size.key, {
							[sideOf(size)]: value,
							limitFrom: size.limitFrom === 'assumed' ? 'shop' : size.limitFrom,
							stopsAt: undefined,
							wearPrior: undefined
						})}
				/>
				<Choose
					label="Stated by"
					value={size.limitFrom}
					options={(['maker', 'shop', 'assumed'] as const).map((from) => [from, limitSource[from]] as const)}
					onchoose={(limitFrom) => change(size.key, { limitFrom })}
				/>
			{/if}
		</div>
		{#if size.limitFrom === 'assumed' && limit}<p
				class="flex items-center gap-2 flex-wrap border-l-3 border-l-doubt pl-2"
			>
				Assumed from like parts. <button
					type="button"
					class="btn"
					onclick={() => change(size.key, { limitFrom: 'shop' })}>Confirm limit</button
				>
			</p>{/if}
		<details>
			<summary class="cursor-pointer min-h-8 text-ink-soft">When and where to measure</summary>
			<div class="grid grid-cols-[repeat(3,1fr)] gap-1.5 items-start">
				<Choose
					label="Measure"
					value={size.when}
					options={[
						['always', 'Always'],
						['onSuspicion', 'If damage is found']
					]}
					onchoose={(when) => change(size.key, { when })}
				/>
				{#if !size.face}
					<TextEdit
						label="Along the part"
						value={size.grid?.stations.join(', ')}
						optional
						onchange={(text) => places(size, listOf(text), (size.grid?.anglesDeg ?? [0]).map(String))}
					/>
					<TextEdit
						label="Angles, °"
						value={size.grid?.anglesDeg.join(', ')}
						optional
						onchange={(text) => places(size, size.grid?.stations ?? [], listOf(text))}
					/>
				{/if}
				<QuantityField
					label="New part within ±"
					value={size.tolerance}
					unit={size.unit}
					onchange={(tolerance) => change(size.key, { tolerance: Math.max(0, tolerance ?? 0) })}
				/>
			</div>
			<GridOnPart type={part.type} {size} surface={part.surface} />
			{#if gridProblem[size.key]}<p class="wrong" role="alert">{gridProblem[size.key]}</p>{/if}
		</details>
	</fieldset>
{/each}
{#each missing.filter(({ key }) => begun.includes(key)) as size (size.key)}
	<fieldset class="relative border border-line px-2 pt-1 pb-2 grid gap-1.5">
		<legend class="font-semibold px-1">{size.name} <span class="soft">with {size.instrument}</span></legend>
		<QuantityField
			label="Size of a new part"
			value={undefined}
			unit={size.unit}
			check={(value) => (value > 0 ? undefined : 'The new size must be above 0.')}
			onchange={(nominal) => begin(size, nominal)}
		/>
		<p class="soft">
			{custom(size.key)?.allowance
				? 'The usual limit of like parts is then filled in, marked as assumed.'
				: 'Then enter the discard limit.'}
		</p>
	</fieldset>
{/each}
<div class="flex flex-wrap gap-1.5" role="group" aria-label="Add size">
	{#each missing.filter(({ key }) => !begun.includes(key)) as size (size.key)}
		<button type="button" class="btn" onclick={() => (begun = [...begun, size.key])}>+ {size.name}</button>
	{/each}
</div>
