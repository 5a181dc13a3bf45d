<!-- @component Pages that stand side by side: of the shop, or the stages of a job. -->
<script lang="ts">
	import { page } from '$app/state';
	import { Navigation } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		label: string;
		/** Address and name of each. */
		pages: readonly (readonly [path: string, name: string])[];
		/** What the page in hand is called to those who hear it. */
		current?: 'page' | 'step';
	}
	let { label, pages, current = 'page' }: Props = $props();
</script>

<Navigation layout="bar" class="tabs">
	<nav class="flex flex-wrap" aria-label={label}>
		{#each pages as [path, name] (path)}
			<Navigation.TriggerAnchor href={path} aria-current={page.url.pathname === path ? current : undefined}>
				{name}
			</Navigation.TriggerAnchor>
		{/each}
	</nav>
</Navigation>

<style>
	:global(.tabs.tabs) {
		padding: 0;
		background: none;
		width: auto;
	}
	nav :global(a) {
		display: inline-flex;
		align-items: center;
		min-height: 47px;
		padding: 0 1rem;
		color: var(--ink);
		text-decoration: none;
		border-bottom: 3px solid var(--line);
	}
	nav :global(a[aria-current]) {
		border-color: var(--mark);
		font-weight: 650;
	}
	@media (max-width: 1000px) {
		nav :global(a) {
			padding: 0 0.7rem;
		}
	}
</style>
