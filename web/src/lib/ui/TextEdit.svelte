<!-- @component A text that is taken as it is left; what does not hold stays in the field, with what is wrong beside it. -->
<script lang="ts">
	interface Props {
		label: string;
		value: string | undefined;
		/** Longest text. */
		most?: number;
		/** It may be left empty. */
		optional?: boolean;
		/** Texts that are offered. */
		offered?: readonly string[];
		rows?: number;
		/** What is wrong with a text, as a sentence; left out: only its length counts. */
		check?: (text: string) => string | undefined;
		onchange: (value: string | undefined) => void;
	}
	let { label, value, most = 400, optional = false, offered = [], rows = 1, check, onchange }: Props = $props();
	const id = $props.id();
	let typed = $state<string>();
	let problem = $state('');

	function take(text: string) {
		const trimmed = text.trim();
		typed = text;
		problem = '';
		if (trimmed === '' && !optional) problem = 'Type a text first.';
		else if (trimmed !== '' && check?.(trimmed)) problem = check(trimmed)!;
		else if (trimmed.length > most) problem = `This is longer than ${most} characters. Shorten it.`;
		else {
			typed = undefined;
			if (trimmed !== (value ?? '')) onchange(trimmed === '' ? undefined : trimmed);
		}
	}
</script>

<div class="label">
	<label for={id}>{label}</label>
	{#if rows > 1}
		<textarea
			{id}
			class="textarea"
			{rows}
			value={typed ?? value ?? ''}
			aria-invalid={problem !== ''}
			aria-describedby={problem === '' ? undefined : `${id}-problem`}
			onchange={({ currentTarget }) => take(currentTarget.value)}></textarea>
	{:else}
		<input
			{id}
			class="input"
			autocomplete="off"
			list={offered.length > 0 ? `${id}-offered` : undefined}
			value={typed ?? value ?? ''}
			aria-invalid={problem !== ''}
			aria-describedby={problem === '' ? undefined : `${id}-problem`}
			onchange={({ currentTarget }) => take(currentTarget.value)}
		/>
		{#if offered.length > 0}<datalist id="{id}-offered"
				>{#each offered as text (text)}<option value={text}></option>{/each}</datalist
			>{/if}
	{/if}
	{#if problem}<p class="wrong" id="{id}-problem" role="alert">{problem}</p>{/if}
</div>
