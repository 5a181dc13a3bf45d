<!-- @component Order: what has to be had, by kits and singles at least cost, what lies in the drawer, what has come in. -->
<script lang="ts">
	import Wide from '$lib/ui/Wide.svelte';
	import { enhance } from '$app/forms';
	import { goto, invalidateAll } from '$app/navigation';
	import { COVER_SECONDS, coverWith, deliveryOf, type Bought } from '@exetasis/core/order';
	import { groupBy } from '@exetasis/core/list';
	import { stationsInScope } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { benchInUse } from '$lib/log/bench.svelte';
	import Arrival from '$lib/order/Arrival.svelte';
	import Delivery from '$lib/order/Delivery.svelte';
	import Filters from '$lib/ui/Filters.svelte';
	import { inSentence } from '$lib/words/place';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data, form } = $props();
	const bench = $derived(benchInUse()());
	const { job, sheet } = $derived(bench.bench);
	const { problem, cheapest, proved, uncovered, stock, consumables, chosen } = $derived(data.order);
	const currency = $derived(data.shop?.currency ?? '');
	const locked = $derived(job.releasedAt !== null || !data.mayWork);
	const changed = $derived(Object.keys(chosen).length > 0);
	const { bought } = $derived(data.order);
	const cover = $derived(coverWith(problem, bought));
	const least = $derived(cheapest && coverWith(problem, cheapest).price);
	const stationOf = (key: string) => sheet.stations.find((station) => station.key === key)!;
	const isNeeded = (key: string) => problem.needs.some(({ station }) => station === key);
	// Kits that hold something of it, and what is bought or could be as a single.
	const lines = $derived(
		problem.offers.filter(
			(offer) => (bought[offer.number] ?? 0) > 0 || offer.holds.some(({ station }) => isNeeded(station))
		)
	);
	const chosenLines = $derived(lines.filter(({ number }) => (bought[number] ?? 0) > 0));
	const otherLines = $derived(lines.filter(({ number }) => (bought[number] ?? 0) === 0));
	const kitOf = (number: string) => sheet.kits.find((kit) => kit.number === number);
	const inNoKit = $derived(
		problem.needs.filter(
			({ station }) => !sheet.kits.some(({ holds }) => holds.some((hold) => hold.station === station))
		)
	);
	const pieces = $derived(problem.needs.reduce((sum, need) => sum + need.pieces, 0));
	const delivered = $derived(deliveryOf(problem, bought));
	const numberOf = (key: string) =>
		problem.offers.find(({ number, holds }) => holds.length === 1 && holds[0].station === key && !kitOf(number))
			?.number;
	const drawer = $derived(new Map(stock.map((line) => [line.station, line])));
	const here = $derived(bench.log.arrivals);
	let arriving = $state<string>();

	// Counts chosen by hand stay; the rest of the order is worked out again.
	function ask(change: { readonly within?: string; readonly chosen?: Bought }) {
		const within = change.within ?? (data.within === undefined ? '' : String(data.within));
		const wanted = change.chosen ?? {};
		const query = new URLSearchParams({
			...(within === '' ? {} : { within }),
			...(Object.keys(wanted).length > 0 ? { chosen: JSON.stringify(wanted) } : {})
		});
		void goto(`?${query}`, { keepFocus: true, noScroll: true });
	}
	const set = (number: string, count: number) => ask({ chosen: { ...chosen, [number]: Math.max(0, count) } });
	const list = (as: string) => `/jobs/${job.id}/order/list?as=${as}&buy=${encodeURIComponent(JSON.stringify(bought))}`;
	const names = (lines: readonly { station: string; pieces: number }[]) =>
		lines.map(({ station, pieces }) => `${pieces} × ${inSentence(stationOf(station).name)}`).join(', ');
	const opened = $derived(new Set(stationsInScope(sheet, job).map(({ key }) => key)));
	// What stays over: meant for an assembly that this job does not open, or a spare.
	const elsewhere = $derived([
		...groupBy(
			cover.over.filter(({ station }) => !opened.has(station)),
			({ station }) => sheet.assemblies.find(({ key }) => key === stationOf(station).in)?.name ?? 'another assembly'
		)
	]);
	const spare = $derived(cover.over.filter(({ station }) => opened.has(station)));
	const waits = [0, 1, 3, 7, 14] as const;
	const days = (count: number) => (count === 0 ? 'today' : count === 1 ? 'in 1 day' : `in ${count} days`);
	const unsaid = $derived(
		cover.buy.some(({ number }) => problem.offers.find((offer) => offer.number === number)?.days === undefined)
	);
	// What is recorded, here or by others, changes what is still needed, once the server has it.
	const sent = $derived((bench.outbox?.ofJob(job.id).length ?? 0) === 0);
	const marks = $derived(
		here.length + [...bench.parts.values()].filter(({ record }) => record.decisions.length > 0).length
	);
	let asked: number | undefined;
	$effect(() => {
		if (!sent) return;
		if (asked !== undefined && asked !== marks) void invalidateAll();
		asked = marks;
	});
</script>

{#snippet offersTable(label: string, offers: typeof lines)}
	<Wide {label}>
		<table class="table" aria-label={label}>
			<thead
				><tr
					><th>Number</th><th>Contents</th><th class="number">Price</th><th class="number">Days</th><th>Quantity</th><th
						class="number">Total</th
					></tr
				></thead
			>
			<tbody>
				{#each offers as offer (offer.number)}
					{@const kit = kitOf(offer.number)}
					{@const count = bought[offer.number] ?? 0}
					<tr class:off={count === 0}>
						<td
							><b>{offer.number}</b>{#if kit}<br /><span class="soft">{kit.name}</span>{/if}</td
						>
						<td>
							<span class="flex flex-wrap items-center gap-x-2.5 gap-y-0.5 text-[0.88rem]">
								{#each offer.holds as { station, pieces } (station)}
									{@const held = stationOf(station)}
									<span class="inline-flex items-center gap-0.5" class:soft={!isNeeded(station)} title={held.name}
										><Glyph type={held.type} face={held.face} size={28} />{pieces}
										{kit ? held.short : held.name}</span
									>
								{/each}
							</span>
						</td>
						<td class="number">{format.number(offer.price, 2)}</td>
						<td class="number">{offer.days ?? '?'}</td>
						<td>
							<span
								class="count flex flex-wrap items-center gap-x-2.5 gap-y-0.5 text-[0.88rem]"
								role="group"
								aria-label="Quantity of {offer.number}"
							>
								<button
									type="button"
									class="btn"
									disabled={locked || count === 0}
									onclick={() => set(offer.number, count - 1)}>−<span class="sr-only"> one fewer</span></button
								>
								<b class="figures">{count}</b>
								<button type="button" class="btn" disabled={locked} onclick={() => set(offer.number, count + 1)}
									>+<span class="sr-only"> one more</span></button
								>
							</span>
						</td>
						<td class="number">{format.number(count * offer.price, 2)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</Wide>
{/snippet}

<svelte:head><title>Order {job.serial} · Exetasis</title></svelte:head>
<div class="flex flex-wrap items-center gap-x-4 gap-y-2 mb-2">
	<h1>Order</h1>
	<p class="flex-1">
		{#if problem.needs.length === 0}Nothing to order. No part is to be replaced, or all parts have been received.{:else}
			<b class="figures">{format.number(cover.price, 2)} {currency}</b>
			{#if changed && least !== undefined && cover.price > least + 0.004}<span class="soft"
					>({format.number(cover.price - least, 2)} more than the cheapest)</span
				>{/if}
			for {pieces}
			{pieces === 1 ? 'part' : 'parts'}{cover.fromStock.length > 0
				? `, ${names(cover.fromStock)} from stock`
				: ''}{cover.buy.length > 0
				? `. Expected ${days(cover.days)}${unsaid ? ' (delivery time unknown for some items)' : ''}`
				: ''}.
		{/if}
	</p>
	{#if changed}<button type="button" class="btn" onclick={() => ask({})}>Back to the cheapest order</button>{/if}
	{#each ['pdf', 'xlsx', 'csv'] as as (as)}<a class="btn" href={list(as)} download data-sveltekit-reload
			>{as.toUpperCase()}</a
		>{/each}
</div>
<Filters>
	<label
		>Needed within
		<select
			class="select"
			value={String(data.within ?? '')}
			onchange={(event) => ask({ within: event.currentTarget.value })}
		>
			<option value="">no limit</option>
			{#each waits as wait (wait)}<option value={String(wait)}
					>{wait === 0 ? 'today' : wait === 1 ? '1 day' : `${wait} days`}</option
				>{/each}
		</select></label
	>
</Filters>
{#each uncovered as need (need.station)}
	<p class="wrong" role="alert">
		Not enough {inSentence(stationOf(need.station).name)} available: {need.needed} needed, {need.available} can be had{data.within ===
		undefined
			? ''
			: ` within ${data.within} days`}.
	</p>
{/each}
{#if cheapest && !proved}<p class="soft">
		The search for the cheapest order was stopped after {COVER_SECONDS} seconds. A cheaper one may exist.
	</p>{/if}
{#if cover.missing.length > 0}<p class="wrong" role="alert">Still missing: {names(cover.missing)}.</p>{/if}
{#if form?.form?.errors?._errors}<p class="wrong" role="alert">{form.form.errors._errors.join(' ')}</p>{/if}
{#if form?.form?.message}<p role="status">{form.form.message}</p>{/if}

{#if problem.needs.length > 0}
	<h2>To buy</h2>
	{@render offersTable('To buy', chosenLines)}
	{#if otherLines.length > 0}
		<details>
			<summary class="row">Other kits and parts ({otherLines.length})</summary>
			{@render offersTable('Other kits and parts', otherLines)}
		</details>
	{/if}
	{#each elsewhere as [assembly, pieces] (assembly)}<p>
			Not for this job: {names(pieces)}, meant for the {inSentence(assembly)}, which it does not open.
		</p>{/each}
	{#if spare.length > 0}<p>Left over as spares: {names(spare)}.</p>{/if}
	{#if inNoKit.length > 0}<p>Not in any kit: {names(inNoKit)}.</p>{/if}
	<h2 class="mt-4">Needed</h2>
	{#if delivered.length > 0}<Delivery {bench} {delivered} {locked} />{/if}
	<Wide label="Needed">
		<table class="table" aria-label="Needed">
			<thead
				><tr><th>Number</th><th>Part</th><th class="number">Pieces</th><th class="number">In stock</th><th></th></tr
				></thead
			>
			<tbody>
				{#each problem.needs as { station: key, pieces } (key)}
					{@const station = stationOf(key)}
					{@const line = drawer.get(key)}
					<tr>
						<td class="figures">{numberOf(key) ?? ''}</td>
						<td
							><span class="flex items-center gap-2"
								><Glyph type={station.type} face={station.face} size={30} /> {station.name}</span
							></td
						>
						<td class="number">{pieces}</td>
						<td class="number"
							>{line?.pieces ?? 0}{#if line && line.floor > 0}<span class="soft">, keep {line.floor}</span>{/if}</td
						>
						<td>
							{#if arriving === key}<Arrival
									{bench}
									{station}
									due={pieces}
									onclose={() => (arriving = undefined)}
								/>{:else}
								<span class="count flex flex-wrap items-center gap-x-2.5 gap-y-0.5 text-[0.88rem]">
									<button
										type="button"
										class="btn"
										aria-label="Receive: {station.name}"
										disabled={locked}
										onclick={() => (arriving = key)}>Receive parts</button
									>
									{#if (line?.pieces ?? 0) > 0}
										<form method="post" use:enhance>
											<input type="hidden" name="station" value={key} />
											<input type="hidden" name="pieces" value={Math.min(pieces, line!.pieces)} />
											<button
												class="btn"
												aria-label="Take {Math.min(pieces, line!.pieces)} from stock: {station.name}"
												disabled={locked}>Take {Math.min(pieces, line!.pieces)} from stock</button
											>
										</form>
									{/if}
								</span>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</Wide>
{/if}
{#if consumables.length > 0}<p class="mt-2">Consumables: {consumables.join(', ')}.</p>{/if}
{#if here.length > 0}
	<h2 class="mt-4">Received parts</h2>
	<ul class="squares">
		{#each here as { id, payload } (id)}
			<li>
				{payload.pieces} × {inSentence(stationOf(payload.station).name)}, {payload.from === 'stock'
					? 'from stock'
					: 'bought'}{payload.lot ? `, lot ${payload.lot}` : ''}{payload.supplier
					? `, ${payload.supplier}`
					: ''}{payload.kit ? `, from kit ${payload.kit}` : ''}
			</li>
		{/each}
	</ul>
{/if}

<style>
	.count {
		flex-wrap: nowrap;
		gap: 8px;
	}
	.off td {
		color: var(--ink-soft);
	}
</style>
