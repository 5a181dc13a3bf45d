<!-- @component One quantity that is typed in any unit that measures it: what was typed stays until it is taken. -->
<script lang="ts">
	import { parseQuantity, unitLabel, type Unit } from '@exetasis/core/quantity';
	import { formatInUse } from '$lib/format/context';
	import { quantitySentence } from '$lib/words/problems';

	interface Props {
		label: string;
		/** Meant where no unit is typed. */
		unit: Unit;
		locked: boolean;
		text: string;
		/** Filled when the form is taken and this field does not say a quantity. */
		wrong?: string;
	}
	let { label, unit, locked, text = $bindable(), wrong = '' }: Props = $props();
	const format = formatInUse();
	const id = $props.id();
	const read = $derived(text.trim() === '' ? undefined : parseQuantity(text, unit));
	const problem = $derived(read?.kind === 'problem' ? quantitySentence(read.problem, format) : wrong);
</script>

<label for={id}>{label}, {unitLabel(unit)}</label>
<input
	{id}
	class="input w-28!"
	inputmode="decimal"
	autocomplete="off"
	maxlength="40"
	disabled={locked}
	bind:value={text}
	aria-invalid={problem !== ''}
	aria-describedby={problem ? `${id}-problem` : undefined}
/>
{#if problem}<span class="wrong basis-full text-[0.88rem]" id="{id}-problem">{problem}</span>{/if}
