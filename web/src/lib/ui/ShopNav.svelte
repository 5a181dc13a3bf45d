<!-- @component The pages of the shop: its rules, its people, its sites. -->
<script lang="ts">
	import { page } from '$app/state';

	const pages = [
		['/shop', 'Rules'],
		['/shop/people', 'People'],
		['/shop/sites', 'Sites']
	] as const;
</script>

<nav aria-label="Shop" class="mb-3 flex">
	{#each pages as [path, name] (path)}
		<a class="tab" href={path} aria-current={page.url.pathname === path ? 'page' : undefined}>{name}</a>
	{/each}
</nav>

<style>
	.tab {
		display: inline-flex;
		align-items: center;
		min-height: 44px;
		padding: 0 1rem;
		color: var(--ink);
		text-decoration: none;
		border-bottom: 3px solid var(--line);
	}
	.tab[aria-current] {
		border-color: var(--mark);
		font-weight: 650;
	}
</style>
