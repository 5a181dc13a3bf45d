<!-- @component The customer, the number of their order, and the promised day: fields of a form. -->
<script lang="ts">
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';

	interface Props {
		customer: string | undefined;
		orderNumber: string | undefined;
		promisedOn: string | undefined;
		errors: { readonly customer?: string[]; readonly orderNumber?: string[]; readonly promisedOn?: string[] };
	}
	let { customer = $bindable(), orderNumber = $bindable(), promisedOn = $bindable(), errors }: Props = $props();
</script>

<Field name="customer" label="Customer" bind:value={customer} errors={errors.customer} />
<Field name="orderNumber" label="Customer’s order number" bind:value={orderNumber} errors={errors.orderNumber} />
<DayField name="promisedOn" label="Promised date" bind:value={promisedOn} errors={errors.promisedOn} />
