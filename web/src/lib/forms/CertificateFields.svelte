<!-- @component One calibration certificate, as fields of a form. -->
<script lang="ts">
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';

	type Typed = Record<'calibratedOn' | 'dueOn' | 'expandedU' | 'k' | 'certificate', string>;
	interface Props {
		typed: Typed;
		errors: Partial<Record<keyof Typed, string[]>>;
	}
	let { typed = $bindable(), errors }: Props = $props();
</script>

<div class="grid gap-3 sm:grid-cols-2 lg:grid-cols-5">
	<Field name="certificate" label="Certificate" bind:value={typed.certificate} errors={errors.certificate} />
	<DayField name="calibratedOn" label="Calibrated on" bind:value={typed.calibratedOn} errors={errors.calibratedOn} />
	<DayField name="dueOn" label="Due on" bind:value={typed.dueOn} errors={errors.dueOn} />
	<Field name="expandedU" label="Expanded uncertainty U" bind:value={typed.expandedU} errors={errors.expandedU} />
	<Field name="k" label="Coverage factor k" bind:value={typed.k} errors={errors.k} />
</div>
