<!-- @component One field of a form with its label and, beside it, what is wrong with what was typed. -->
<script lang="ts">
	interface Props {
		name: string;
		label: string;
		value: string | undefined;
		errors?: readonly string[];
		type?: 'text' | 'email' | 'password';
		/** Choices, value and words; left out: a text is typed. */
		options?: readonly (readonly [value: string, words: string])[];
		hint?: string;
		autocomplete?: 'off' | 'current-password' | 'new-password' | 'username' | 'email';
		disabled?: boolean;
	}
	let {
		name,
		label,
		value = $bindable(),
		errors = [],
		type = 'text',
		options,
		hint,
		autocomplete = 'off',
		disabled = false
	}: Props = $props();
	const id = $props.id();
	const wrong = $derived(errors.length > 0);
	const described = $derived(wrong ? `${id}-problem` : undefined);
</script>

<div class="label">
	<label for={id}>{label}</label>
	{#if options}
		<select {id} {name} class="select" {disabled} bind:value aria-invalid={wrong} aria-describedby={described}>
			{#each options as [key, words] (key)}<option value={key}>{words}</option>{/each}
		</select>
	{:else}
		<input
			{id}
			{name}
			class="input"
			{type}
			{autocomplete}
			{disabled}
			placeholder={hint}
			bind:value
			aria-invalid={wrong}
			aria-describedby={described}
		/>
	{/if}
	{#if wrong}<p class="wrong" id="{id}-problem" role="alert">{errors[0]}</p>{/if}
</div>
