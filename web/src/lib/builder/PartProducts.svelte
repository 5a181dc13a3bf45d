<!-- @component Lubricants, sealants and lockers for the part in hand: which, and where. Without a product it is the shop's own. -->
<script lang="ts">
	import { defined, keyFor, withPartChanged } from '@exetasis/core/draft';
	import type { Product, Station } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { productKindName } from '$lib/words/draft';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		part: Station;
	}
	let { draft, part }: Props = $props();
	const MOST = 8;
	const products = $derived(draft.body.products);
	const productOf = (key?: string) => products.find((product) => product.key === key);
	const keep = (list: Station['products']) => draft.change(withPartChanged(draft.body, part.key, { products: list }));
	const time = (value: number) => (value > 0 ? undefined : 'The time must be above 0.');
	let kind = $state<Product['kind']>('grease');

	const changeProduct = (key: string, next: Partial<Product>) =>
		draft.change({
			...draft.body,
			products: products.map((product) => (product.key === key ? defined({ ...product, ...next }) : product))
		});
	function add(name: string | undefined) {
		if (!name || part.products.length >= MOST) return;
		const known = products.find((product) => product.name.toLowerCase() === name.toLowerCase());
		const key =
			known?.key ??
			keyFor(
				name,
				products.map((product) => product.key)
			);
		const body = known ? draft.body : { ...draft.body, products: [...products, { key, name, kind, notOn: [] }] };
		const used = { product: key, where: 'As the maker states', when: 'always' as const };
		draft.change(withPartChanged(body, part.key, { products: [...part.products, used] }));
	}
</script>

{#each part.products as used, i (i)}
	{@const product = productOf(used.product)}
	<div class="border-l-2 border-l-line pl-2">
		<p>
			<b>{product?.name ?? 'The shop’s own'}</b>
			<button type="button" class="btn" onclick={() => keep(part.products.toSpliced(i, 1))}>Delete</button>
		</p>
		<TextEdit
			label="Where"
			value={used.where}
			onchange={(text = '') => keep(part.products.with(i, { ...used, where: text }))}
		/>
		{#if product && (product.kind === 'sealant' || product.kind === 'locker')}
			<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
				<QuantityField
					label="To be worked within"
					value={product.workMinutes}
					unit="pieces"
					suffix="min"
					optional
					check={time}
					onchange={(workMinutes) => changeProduct(product.key, { workMinutes })}
				/>
				<QuantityField
					label="Cured after"
					value={product.cureMinutes}
					unit="pieces"
					suffix="min"
					optional
					check={time}
					onchange={(cureMinutes) => changeProduct(product.key, { cureMinutes })}
				/>
			</div>
		{/if}
	</div>
{/each}
<div class="two grid grid-cols-[1fr_1fr] gap-2 items-end">
	<Choose
		label="Kind of a new product"
		value={kind}
		options={Object.entries(productKindName) as [Product['kind'], string][]}
		onchoose={(chosen) => (kind = chosen)}
	/>
	{#key part.products.length}
		<TextEdit
			label="Add lubricant or sealant"
			value={undefined}
			optional
			most={120}
			offered={products.map(({ name }) => name)}
			onchange={add}
		/>
	{/key}
</div>
