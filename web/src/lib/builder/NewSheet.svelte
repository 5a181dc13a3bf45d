<!-- @component The ways in which a sheet begins: from a known layout, from a parts list, or empty. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { partType, partTypeKeys, type PartTypeKey } from '@exetasis/core/part';
	import type { DrawnSheet } from '@exetasis/server/sheets';
	import { parseQuantity, unitLabel } from '@exetasis/core/quantity';
	import { keptForm } from '$lib/forms/kept';
	import type { TypedPlate } from '$lib/forms/namePlate';
	import DrawnLayout from '$lib/pump/DrawnLayout.svelte';
	import Wall from '$lib/pump/Wall.svelte';
	import Choose from '$lib/ui/Choose.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import PartsList from './PartsList.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		form: SuperValidated<TypedPlate>;
		layouts: readonly DrawnSheet[];
		/** Model of the layout that was chosen before. */
		like?: string;
		names: readonly { readonly type: PartTypeKey; readonly words: readonly string[] }[];
	}
	let { form: given, layouts, like, names }: Props = $props();
	const { form, errors, enhance } = keptForm<TypedPlate>(
		untrack(() => given),
		{ taintedMessage: false }
	);
	type Way = 'layout' | 'list' | 'strip' | 'empty';
	let way = $state<Way>('layout');
	const ways: readonly (readonly [Way, string])[] = [
		['layout', 'From a drawing'],
		['list', 'From a parts list'],
		['strip', 'While stripping'],
		['empty', 'Empty']
	];
	const cylinders = $derived.by(() => {
		const parsed = parseQuantity($form.cylinders, 'pieces');
		return parsed.kind === 'quantity' && Number.isInteger(parsed.base) && parsed.base >= 1 ? parsed.base : 1;
	});

	function choose(next: Way) {
		way = next;
		$form.layout = '';
		$form.parts = '';
	}
	function take(layout: DrawnSheet) {
		$form.layout = layout.model;
		if ($form.cylinders === '') $form.cylinders = String(layout.cylinders);
	}
	const before = untrack(() => layouts.find(({ model }) => model === like));
	if (before) take(before);
	const ready = $derived(
		way === 'empty' || way === 'strip' || (way === 'layout' ? $form.layout !== '' : $form.parts !== '')
	);
</script>

<Segments label="Begin" options={ways} value={way} onchoose={choose} />
<form method="post" action={way === 'strip' ? '?/strip' : '?/start'} use:enhance class="mt-3 grid gap-3">
	<Fields>
		<div class="grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-2.5 items-start">
			<Field name="model" label="Model" bind:value={$form.model} errors={$errors.model} />
			<Field name="maker" label="Maker" bind:value={$form.maker} errors={$errors.maker} />
			<Field name="cylinders" label="Cylinders" bind:value={$form.cylinders} errors={$errors.cylinders} />
			<Field
				name="stroke"
				label="Stroke, {unitLabel(format.units.length)}"
				bind:value={$form.stroke}
				errors={$errors.stroke}
			/>
			<Field
				name="pressure"
				label="Rated pressure, {unitLabel(format.units.pressure)}"
				bind:value={$form.pressure}
				errors={$errors.pressure}
			/>
			<Field name="speed" label="Rated speed, rpm" bind:value={$form.speed} errors={$errors.speed} />
			{#if way === 'layout'}<Field
					name="plunger"
					label="Plunger, {unitLabel(format.units.length)} (if known)"
					bind:value={$form.plunger}
					errors={$errors.plunger}
				/>{/if}
		</div>
		<input type="hidden" name="layout" value={$form.layout} />
		<input type="hidden" name="parts" value={$form.parts} />
		{#if way === 'layout'}
			<p class="soft">
				Choose the drawing that is most like your pump: parts in strip order, pressure side on the left. Sizes and
				prices are taken over as assumptions, directions and order as deduced: check each. Torques, masses and part
				numbers are not taken over.
			</p>
			<Wall items={layouts} keyOf={({ model }) => model} chosen={$form.layout} onchoose={take}>
				{#snippet tile({ layout, cylinders, stack })}<DrawnLayout {layout} {cylinders} {stack} />{/snippet}
			</Wall>
		{:else if way === 'strip'}
			<p class="soft">
				The pump is received with one part. At Strip, after lock-out and release of pressure, you touch each part as it
				comes off. The sheet stays provisional until a lead has checked it.
			</p>
			<Choose
				label="What comes off first"
				value={$form.first as PartTypeKey}
				options={partTypeKeys.map((key) => [key, partType(key).name] as const)}
				onchoose={(type) => ($form.first = type)}
			/>
			<input type="hidden" name="first" value={$form.first} />
		{:else if way === 'empty'}
			<p class="soft">The sheet begins with lock-out and release of pressure. You then add the parts in strip order.</p>
		{/if}
		{#if $errors.parts}<p class="wrong" role="alert">{$errors.parts[0]}</p>{/if}
		<div class="sticky bottom-0 flex gap-2.5 items-center py-2 bg-paper">
			<button class="btn main" disabled={!ready}>{way === 'strip' ? 'Receive the pump' : 'Begin sheet'}</button>
			{#if !ready}<span class="soft"
					>{way === 'layout' ? 'Choose a drawing first.' : 'Read a parts list below first.'}</span
				>{/if}
		</div>
	</Fields>
</form>
{#if way === 'list'}<PartsList {names} {cylinders} onparts={(parts) => ($form.parts = parts)} />{/if}
