<!-- @component What the customer report says besides the findings: customer, order, cause and advice. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import CustomerFields from '$lib/forms/CustomerFields.svelte';
	import { keptForm } from '$lib/forms/kept';
	import type { Told } from '$lib/forms/release';
	import Fields from '$lib/ui/Fields.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	interface Props {
		form: SuperValidated<Told>;
		locked: boolean;
	}
	let { form: given, locked }: Props = $props();
	const { form, errors, message, enhance } = keptForm(untrack(() => given));
</script>

<form
	method="post"
	action="?/told"
	use:enhance
	class="sheet px-[0.9rem] py-[0.7rem] mb-2.5"
	aria-label="For the customer"
>
	<Fields>
		<fieldset class="grid grid-cols-6 gap-x-[0.8rem] gap-y-2 items-start" disabled={locked}>
			<legend class="group-head">For the customer</legend>
			<CustomerFields
				bind:customer={$form.customer}
				bind:orderNumber={$form.orderNumber}
				bind:promisedOn={$form.promisedOn}
				errors={$errors}
			/>
			<TextField
				name="cause"
				label="Cause"
				hint="If empty, the report says that it was not established"
				rows={2}
				bind:value={$form.cause}
				errors={$errors.cause}
			/>
			<TextField
				name="advice"
				label="Advice"
				hint="Clean the inlet strainer every week"
				rows={2}
				bind:value={$form.advice}
				errors={$errors.advice}
			/>
			<div class="col-span-full flex items-center gap-4">
				{#if !locked}<button class="btn">Save report text</button>{/if}
				{#if $message}<span class="soft" role="status">{$message}</span>{/if}
				{#each $errors._errors ?? [] as problem (problem)}<span class="wrong" role="alert">{problem}</span>{/each}
			</div>
		</fieldset>
	</Fields>
</form>

<style>
	fieldset > :global(.label) {
		grid-column: span 2;
	}
	fieldset > :global(.label:has(textarea)) {
		grid-column: span 3;
	}
	@media (max-width: 700px) {
		fieldset > :global(.label.label) {
			grid-column: 1 / -1;
		}
	}
</style>
