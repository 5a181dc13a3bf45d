<!-- @component One calibration certificate, as fields of a form. -->
<script lang="ts">
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
	<Field
		name="calibratedOn"
		label="Calibrated on"
		type="date"
		bind:value={typed.calibratedOn}
		errors={errors.calibratedOn}
	/>
	<Field name="dueOn" label="Due on" type="date" bind:value={typed.dueOn} errors={errors.dueOn} />
	<Field name="expandedU" label="Expanded uncertainty U" bind:value={typed.expandedU} errors={errors.expandedU} />
	<Field name="k" label="with coverage factor k" bind:value={typed.k} errors={errors.k} />
</div>
