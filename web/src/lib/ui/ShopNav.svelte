<!-- @component The pages of the shop: its rules, its people, its sites, its drawers, jobs from files. -->
<script lang="ts">
	import Tabs from './Tabs.svelte';

	const pages = [
		['/shop', 'Rules'],
		['/shop/people', 'People'],
		['/shop/letterhead', 'Letterhead'],
		['/shop/sites', 'Sites'],
		['/shop/stock', 'Stock'],
		['/shop/jobs', 'Job files']
	] as const;
</script>

<div class="mb-3"><Tabs label="Shop" {pages} /></div>
