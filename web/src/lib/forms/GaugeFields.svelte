<!-- @component What a gauge is worth, as fields of a form. -->
<script lang="ts">
	import Field from '$lib/ui/Field.svelte';
	import { gaugeUnitLabel } from '$lib/words/gauges';

	type Typed = Record<
		'name' | 'kind' | 'resolution' | 'repeatability' | 'repeatabilityDof' | 'reproducibility' | 'expansion',
		string
	>;
	interface Props {
		typed: Typed;
		errors: Partial<Record<keyof Typed, string[]>>;
		kinds: readonly string[];
		disabled?: boolean;
	}
	let { typed = $bindable(), errors, kinds, disabled = false }: Props = $props();
	const unit = $derived(gaugeUnitLabel(typed.kind));
</script>

<div class="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
	<Field
		name="name"
		label="Name"
		hint="Micrometer 0–25 no. 3"
		bind:value={typed.name}
		errors={errors.name}
		{disabled}
	/>
	<Field
		name="kind"
		label="Kind"
		bind:value={typed.kind}
		errors={errors.kind}
		options={kinds.map((kind) => [kind, kind] as const)}
		{disabled}
	/>
	<Field
		name="resolution"
		label="Resolution ({unit})"
		hint="0.001"
		bind:value={typed.resolution}
		errors={errors.resolution}
		{disabled}
	/>
	<Field
		name="repeatability"
		label="Repeatability s ({unit})"
		hint="0.001"
		bind:value={typed.repeatability}
		errors={errors.repeatability}
		{disabled}
	/>
	<Field
		name="repeatabilityDof"
		label="Degrees of freedom"
		bind:value={typed.repeatabilityDof}
		errors={errors.repeatabilityDof}
		{disabled}
	/>
	<Field
		name="reproducibility"
		label="Reproducibility s ({unit})"
		bind:value={typed.reproducibility}
		errors={errors.reproducibility}
		{disabled}
	/>
	<Field
		name="expansion"
		label="Thermal expansion (10⁻⁶/K)"
		bind:value={typed.expansion}
		errors={errors.expansion}
		{disabled}
	/>
</div>
