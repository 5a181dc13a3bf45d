<!-- @component A field of a form for several lines, with its label and, under it, what is wrong with what was typed. -->
<script lang="ts">
	interface Props {
		name: string;
		label: string;
		value: string | undefined;
		errors?: readonly string[];
		rows?: number;
		hint?: string;
	}
	let { name, label, value = $bindable(), errors = [], rows = 3, hint }: Props = $props();
	const id = $props.id();
	const wrong = $derived(errors.length > 0);
</script>

<div class="label">
	<label for={id}>{label}</label>
	<textarea
		{id}
		{name}
		{rows}
		class="textarea"
		placeholder={hint}
		bind:value
		aria-invalid={wrong}
		aria-describedby={wrong ? `${id}-problem` : undefined}></textarea>
	{#if wrong}<p class="wrong" id="{id}-problem" role="alert">{errors[0]}</p>{/if}
</div>
