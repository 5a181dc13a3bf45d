<!-- @component The pump as a whole: name plate, assemblies, scopes, proof. -->
<script lang="ts">
	import { defined, keyFor } from '@exetasis/core/draft';
	import { scopeKinds, sheetDraftSchema, type Assembly, type Scope } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import Variants from './Variants.svelte';
	import type { DraftState } from './draft.svelte';
	import MoreFields from './fields/MoreFields.svelte';
	import { statementForm } from './fields/statementForm.svelte';

	interface Props {
		draft: DraftState;
		currency: string;
	}
	let { draft, currency }: Props = $props();
	const body = $derived(draft.body);
	const change = (next: Partial<typeof body>) => draft.change(defined({ ...body, ...next }));
	const above0 = (value: number) => (value > 0 ? undefined : 'This must be above 0.');
	const cylinders = (value: number) =>
		Number.isInteger(value) && value >= 1 && value <= 7 ? undefined : 'Type a whole number from 1 to 7.';

	const assembly = (i: number, next: Partial<Assembly>) =>
		change({
			assemblies: body.assemblies.with(i, defined({ ...body.assemblies[i], ...next }))
		});
	const used = (key: string) => body.stations.some((station) => station.in === key || station.mayStayIn.includes(key));
	const addAssembly = (name: string | undefined) =>
		name &&
		change({
			assemblies: [
				...body.assemblies,
				{
					key: keyFor(
						name,
						body.assemblies.map(({ key }) => key)
					),
					name
				}
			]
		});

	const scopeKind: Readonly<Record<Scope['kind'], string>> = {
		packing: 'packing',
		plunger: 'plunger',
		valves: 'valves',
		drive: 'drive',
		regulator: 'regulator',
		diaphragm: 'diaphragm',
		full: 'everything'
	};
	const scope = (i: number, next: Partial<Scope>) =>
		change({ scopes: body.scopes.with(i, { ...body.scopes[i], ...next }) });
	// A new scope opens what the whole job opens; what it leaves shut is taken out part by part.
	function addScope(name: string | undefined) {
		if (!name) return;
		const key = keyFor(
			name,
			body.scopes.map((scope) => scope.key)
		);
		change({
			scopes: [...body.scopes, { key, name, kind: 'packing', offers: [] }],
			stations: body.stations.map((station) => ({ ...station, scopes: [...station.scopes, key] })),
			steps: body.steps.map((step) => ({ ...step, scopes: [...step.scopes, key] }))
		});
	}
	const cut = (scopes: readonly string[], key: string) => scopes.filter((scope) => scope !== key);
	const alone = (key: string) =>
		[...body.stations, ...body.steps].some(({ scopes }) => scopes.length === 1 && scopes[0] === key);
	const removeScope = (key: string) =>
		change({
			scopes: body.scopes
				.filter((scope) => scope.key !== key)
				.map((scope) => ({ ...scope, offers: cut(scope.offers, key) })),
			stations: body.stations.map((station) => ({ ...station, scopes: cut(station.scopes, key) })),
			steps: body.steps.map((step) => ({ ...step, scopes: cut(step.scopes, key) }))
		});
	const more = sheetDraftSchema.pick({
		assemblies: true,
		crank: true,
		tools: true,
		products: true,
		kits: true,
		unit: true,
		duty: true,
		scopes: true,
		subAssemblies: true,
		order: true,
		lookAlikes: true
	});
	const proof = $derived(body.proof);
	const states = (pressureMPa: number) =>
		change({ proof: { pressureMPa, minutes: 5, mostFallMPa: pressureMPa / 20, places: ['Joints and weep holes'] } });
	const form = statementForm(more, () => body as Record<string, unknown>, change);
</script>

<h2>Name plate</h2>
<div class="row">
	<TextEdit label="Model" value={body.model} onchange={(model = '') => change({ model })} />
	<TextEdit label="Maker" value={body.maker} onchange={(maker = '') => change({ maker })} />
	<QuantityField
		label="Cylinders"
		value={body.cylinders}
		unit="pieces"
		check={cylinders}
		onchange={(value) => value !== undefined && change({ cylinders: value, crank: undefined })}
	/>
	<QuantityField
		label="Stroke"
		value={body.strokeMm}
		unit="mm"
		check={above0}
		onchange={(strokeMm) => strokeMm !== undefined && change({ strokeMm })}
	/>
	<QuantityField
		label="Rated pressure"
		value={body.ratedPressureMPa}
		unit="MPa"
		check={above0}
		onchange={(ratedPressureMPa) => ratedPressureMPa !== undefined && change({ ratedPressureMPa })}
	/>
	<QuantityField
		label="Rated speed"
		value={body.ratedSpeedRpm}
		unit="rpm"
		check={above0}
		onchange={(ratedSpeedRpm) => ratedSpeedRpm !== undefined && change({ ratedSpeedRpm })}
	/>
	<QuantityField
		label="Cost of opening it once more"
		value={body.openingCost}
		unit="pieces"
		suffix={currency}
		check={(value) => (value >= 0 ? undefined : 'The cost must be 0 or more.')}
		onchange={(openingCost) => openingCost !== undefined && change({ openingCost })}
	/>
	<div class="sm:col-span-2">
		<TextEdit
			label="Where cylinder 1 is"
			value={body.cylinderOne?.text}
			optional
			onchange={(text) => change({ cylinderOne: text ? { text, side: body.cylinderOne?.side ?? 'left' } : undefined })}
		/>
	</div>
	{#if body.cylinderOne}
		{@const one = body.cylinderOne}
		<Choose
			label="Seen from the pressure side, at the"
			value={one.side}
			options={[
				['left', 'left'],
				['right', 'right']
			]}
			onchoose={(side) => change({ cylinderOne: { ...one, side } })}
		/>
	{/if}
</div>
<h2 class="mt-4">Assemblies</h2>
<p class="soft">What comes off in one piece and lies on the bench by itself.</p>
{#each body.assemblies as other, i (other.key)}
	<div class="row listed">
		<TextEdit label="Name" value={other.name} onchange={(name = '') => assembly(i, { name })} />
		<Choose
			label="Lies on the bench with"
			value={other.up ?? ''}
			options={[
				['', 'not stated'],
				['P', 'the pressure side up'],
				['C', 'the crank side up']
			]}
			onchoose={(up) => assembly(i, { up: up === '' ? undefined : up })}
		/>
		<QuantityField
			label="Mass"
			value={other.massKg}
			unit="pieces"
			suffix="kg"
			optional
			check={above0}
			onchange={(massKg) => assembly(i, { massKg })}
		/>
		<div class="label">
			<button
				type="button"
				class="btn"
				disabled={used(other.key) || body.assemblies.length === 1}
				title={used(other.key) ? 'Parts lie in it' : undefined}
				onclick={() => change({ assemblies: body.assemblies.toSpliced(i, 1) })}>Delete</button
			>
		</div>
	</div>
{/each}
{#key body.assemblies.length}<div class="row">
		<TextEdit label="Add assembly" value={undefined} optional onchange={addAssembly} />
	</div>{/key}
<h2 class="mt-4">Variants</h2>
<Variants {draft} />

<h2 class="mt-4">Scopes</h2>
<p class="soft">How far a job can go. Which parts a scope opens is chosen at each part.</p>
{#each body.scopes as other, i (other.key)}
	<div class="row listed">
		<TextEdit label="Name" value={other.name} onchange={(name = '') => scope(i, { name })} />
		<Choose
			label="Kind"
			value={other.kind}
			options={scopeKinds.map((kind) => [kind, scopeKind[kind]] as const)}
			onchoose={(kind) => scope(i, { kind })}
		/>
		<div class="label">
			<button
				type="button"
				class="btn"
				disabled={body.scopes.length === 1 || alone(other.key)}
				title={alone(other.key) ? 'Some parts or steps belong to it alone' : undefined}
				onclick={() => removeScope(other.key)}>Delete</button
			>
		</div>
	</div>
{/each}
{#key body.scopes.length}<div class="row">
		<TextEdit label="Add scope" value={undefined} optional onchange={addScope} />
	</div>{/key}
<h2 class="mt-4">Proof</h2>
<div class="row">
	<QuantityField
		label="Test pressure"
		value={proof?.pressureMPa}
		unit="MPa"
		optional
		check={above0}
		onchange={(value) =>
			value === undefined
				? change({ proof: undefined })
				: proof
					? change({ proof: { ...proof, pressureMPa: value } })
					: states(value)}
	/>
	{#if proof}
		<QuantityField
			label="Held for"
			value={proof.minutes}
			unit="pieces"
			suffix="min"
			check={above0}
			onchange={(minutes) => minutes !== undefined && change({ proof: { ...proof, minutes } })}
		/>
		<QuantityField
			label="May fall by"
			value={proof.mostFallMPa}
			unit="MPa"
			check={(value) => (value >= 0 ? undefined : 'This must be 0 or more.')}
			onchange={(mostFallMPa) => mostFallMPa !== undefined && change({ proof: { ...proof, mostFallMPa } })}
		/>
		<TextEdit
			label="Watch for drips at (comma between places)"
			value={proof.places.join(', ')}
			onchange={(text = '') =>
				change({
					proof: {
						...proof,
						places: text
							.split(',')
							.map((place) => place.trim())
							.filter(Boolean)
							.slice(0, 20)
					}
				})}
		/>
	{/if}
</div>
<h2 class="mt-4">More statements</h2>
<MoreFields {form} names={Object.keys(more.shape)} draft={body} />

<style>
	.row {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
		gap: 8px;
		align-items: end;
		margin-bottom: 12px;
	}
	.listed {
		grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
	}
</style>
