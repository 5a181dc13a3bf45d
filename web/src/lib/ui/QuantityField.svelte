<!-- @component A quantity that is read as it is left: in the person's unit, with what is wrong beside it; what was typed stays. -->
<script lang="ts">
	import {
		dimensionOf,
		fromBase,
		parseQuantity,
		shownUnit,
		unitLabel,
		type NumberRange,
		type Unit
	} from '@exetasis/core/quantity';
	import { quantitySentence } from '$lib/words/problems';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		label: string;
		/** In `unit`; undefined: not stated. */
		value: number | undefined;
		unit: Unit;
		/** What stands beside the label in place of the unit: a currency. */
		suffix?: string;
		/** It may be left empty, which says that it is not stated. */
		optional?: boolean;
		/** What can be typed, in `unit`: left out where it is a size, a pressure and the like that a bench can meet. */
		range?: NumberRange;
		/** What else is wrong with a value, as a sentence. */
		check?: (value: number) => string | undefined;
		onchange: (value: number | undefined) => void;
	}
	let { label, value, unit, suffix, optional = false, range, check, onchange }: Props = $props();
	const id = $props.id();
	const shown = $derived(shownUnit(dimensionOf(unit), format.units));
	const written = $derived(value === undefined ? '' : format.plain(fromBase(value, shown)));
	let typed = $state<string>();
	let problem = $state('');

	function read(text: string) {
		typed = text;
		problem = '';
		if (text.trim() === '' && optional) {
			onchange(undefined);
			typed = undefined;
			return;
		}
		const parsed = parseQuantity(text, shown, undefined, range);
		if (parsed.kind === 'problem') {
			problem = quantitySentence(parsed.problem, format, 'Type a value first.');
			return;
		}
		problem = check?.(parsed.base) ?? '';
		if (problem !== '') return;
		typed = undefined;
		if (parsed.base !== value) onchange(parsed.base);
	}
</script>

<div class="label">
	<label for={id}>{label} <span class="soft">{suffix ?? unitLabel(shown)}</span></label>
	<input
		{id}
		class="input figures"
		inputmode="decimal"
		autocomplete="off"
		value={typed ?? written}
		aria-invalid={problem !== ''}
		aria-describedby={problem === '' ? undefined : `${id}-problem`}
		onchange={({ currentTarget }) => read(currentTarget.value)}
	/>
	{#if problem}<p class="wrong" id="{id}-problem" role="alert">{problem}</p>{/if}
</div>
