<!-- @component The pages of the shop: its rules, its people, its sites, its drawers. -->
<script lang="ts">
	import Tabs from './Tabs.svelte';

	const pages = [
		['/shop', 'Rules'],
		['/shop/people', 'People'],
		['/shop/sites', 'Sites'],
		['/shop/stock', 'Stock']
	] as const;
</script>

<div class="mb-3"><Tabs label="Shop" {pages} /></div>
