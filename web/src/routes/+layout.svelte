<script lang="ts">
	import '../app.css';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import Moon from '@lucide/svelte/icons/moon';
	import Sun from '@lucide/svelte/icons/sun';
	import LogOut from '@lucide/svelte/icons/log-out';
	import Hatching from '$lib/glyph/Hatching.svelte';
	import { browser } from '$app/environment';
	import { Outbox } from '$lib/log/outbox.svelte';
	import { provideOutbox } from '$lib/log/outboxInUse';
	import OutboxNotice from '$lib/log/OutboxNotice.svelte';
	import { provideUnits } from '$lib/ui/preference';

	let { data, children } = $props();
	provideUnits(() => data.units);
	// One for the whole application, of the person who is signed in.
	const userId = $derived(data.user?.id);
	const outbox = $derived(browser && userId ? new Outbox(userId) : undefined);
	provideOutbox(() => outbox);
	$effect(() => outbox?.open());

	const places = [
		['/', 'Floor'],
		['/pumps', 'Pumps'],
		['/trace', 'Trace'],
		['/gauges', 'Gauges'],
		['/sheets', 'Model sheets'],
		['/shop', 'Shop'],
		['/settings', 'Settings']
	] as const;
	const isHere = (path: string) =>
		path === '/'
			? page.url.pathname === '/' || page.url.pathname.startsWith('/jobs')
			: page.url.pathname.startsWith(path);
	const otherTheme = $derived(data.user?.theme === 'dark' ? 'light' : 'dark');

	// The theme stands on the document, outside of what this component renders.
	$effect(() => {
		document.documentElement.dataset.mode = data.user?.theme ?? 'light';
	});
</script>

<Hatching />
{#if data.user}
	<header class="bar">
		<a class="brand" href="/">Exetasis</a>
		<nav aria-label="Places">
			{#each places as [path, name] (path)}
				<a href={path} aria-current={isHere(path) ? 'page' : undefined}>{name}</a>
			{/each}
		</nav>
		<span class="who">{data.user.name} <span class="soft">{data.user.role}, {data.shop?.name}</span></span>
		<form method="post" action="/settings?/theme" use:enhance>
			<input type="hidden" name="theme" value={otherTheme} />
			<button class="press icon" aria-label="Switch to {otherTheme}" title="Switch to {otherTheme}">
				{#if otherTheme === 'dark'}<Moon size={18} />{:else}<Sun size={18} />{/if}
			</button>
		</form>
		<form method="post" action="/signout">
			<button class="press icon" aria-label="Sign out" title="Sign out"><LogOut size={18} /></button>
		</form>
	</header>
{/if}
<main>
	{#if outbox}<OutboxNotice {outbox} jobInHand={page.params.job} />{/if}
	{@render children()}
</main>

<style>
	.bar {
		display: flex;
		align-items: center;
		gap: 0.75rem;
		padding: 2px 12px;
		border-bottom: 1.5px solid var(--ink);
		background: var(--sheet);
	}
	.brand {
		font-weight: 750;
		letter-spacing: 0.01em;
		color: var(--ink);
		text-decoration: none;
		min-height: 44px;
		display: inline-flex;
		align-items: center;
	}
	nav {
		display: flex;
		flex: 1;
		flex-wrap: wrap;
	}
	nav a {
		display: inline-flex;
		align-items: center;
		min-height: 44px;
		padding: 0 0.75rem;
		color: var(--ink);
		text-decoration: none;
		border-bottom: 3px solid transparent;
	}
	nav a[aria-current] {
		border-color: var(--mark);
		font-weight: 650;
	}
	.who {
		font-size: 0.85rem;
	}
	.icon {
		padding: 0;
		border-color: transparent;
	}
	main {
		padding: 10px 12px 24px;
		max-width: 1600px;
		margin: 0 auto;
	}
</style>
