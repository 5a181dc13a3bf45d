<!-- @component The one bar of every page: the pages behind its first button, what the page puts there, and the person. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import LogOut from '@lucide/svelte/icons/log-out';
	import MenuIcon from '@lucide/svelte/icons/menu';
	import Moon from '@lucide/svelte/icons/moon';
	import Sun from '@lucide/svelte/icons/sun';
	import { AppBar } from '@skeletonlabs/skeleton-svelte';
	import { isHere, pages } from './pages';
	import type PagesMenu from './PagesMenu.svelte';

	interface Props {
		/** What the page puts into the bar instead of the pages, which its menu keeps. */
		children?: Snippet;
	}
	let { children }: Props = $props();
	const { user, shop } = $derived(page.data);
	const otherTheme = $derived(user?.theme === 'dark' ? 'light' : 'dark');
	const who = $derived(`${user?.name}, ${user?.role}, ${shop?.name}`);

	let themeForm = $state<HTMLFormElement>();
	let signoutForm = $state<HTMLFormElement>();
	// Fetched when it is first asked for, and then open.
	let Menu = $state.raw<typeof PagesMenu>();
	const fetchMenu = async () => (Menu = (await import('./PagesMenu.svelte')).default);
</script>

<AppBar class="bar">
	<AppBar.Toolbar class="bar-tools">
		<AppBar.Lead class={children ? 'folded' : 'menu-narrow'} aria-label="Menu">
			{#if Menu}
				<Menu
					open
					{who}
					{otherTheme}
					ontheme={() => themeForm?.requestSubmit()}
					onsignout={() => signoutForm?.requestSubmit()}
				/>
			{:else}
				<button type="button" class="btn-icon" aria-label="Pages" aria-haspopup="menu" onclick={fetchMenu}
					><MenuIcon size={20} /></button
				>
			{/if}
		</AppBar.Lead>
		{#if children}
			{@render children()}
		{:else}
			<a class="brand" href="/">Exetasis</a>
			<nav class="pages flex flex-1 overflow-hidden max-[1100px]:hidden" aria-label="Pages">
				{#each pages as [path, name] (path)}
					<a
						class="inline-flex items-center min-h-11.5 px-3 text-ink no-underline whitespace-nowrap border-b-3 border-b-transparent"
						href={path}
						aria-current={isHere(path, page.url.pathname) ? 'page' : undefined}>{name}</a
					>
				{/each}
			</nav>
			<span class="here hidden font-[650] max-[1100px]:inline"
				>{pages.find(([path]) => isHere(path, page.url.pathname))?.[1] ?? ''}</span
			>
		{/if}
		<AppBar.Trail class={children ? 'sr-only' : 'person'}>
			{#if !children}<span class="text-[0.85rem] whitespace-nowrap max-[600px]:hidden"
					>{user.name} <span class="soft">{user.role}, {shop?.name}</span></span
				>{/if}
			<form bind:this={themeForm} method="post" action="/settings?/theme" use:enhance hidden={children !== undefined}>
				<input type="hidden" name="theme" value={otherTheme} />
				<button class="btn-icon" aria-label="Switch to {otherTheme}" title="Switch to {otherTheme}">
					{#if otherTheme === 'dark'}<Moon size={18} />{:else}<Sun size={18} />{/if}
				</button>
			</form>
			<form bind:this={signoutForm} method="post" action="/signout" hidden={children !== undefined}>
				<button class="btn-icon" aria-label="Sign out" title="Sign out"><LogOut size={18} /></button>
			</form>
		</AppBar.Trail>
	</AppBar.Toolbar>
</AppBar>

<style>
	:global(.bar.bar) {
		padding: 0;
		border-bottom: 1.5px solid var(--ink);
		background: var(--sheet);
	}
	:global(.bar-tools) {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 48px;
		padding: 0 12px;
	}
	:global(.bar .person) {
		display: flex;
		align-items: center;
		gap: 0.25rem;
		margin-left: auto;
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
	.pages a[aria-current] {
		border-color: var(--mark);
		font-weight: 650;
	}
	:global(.bar .menu-narrow) {
		display: none;
	}
	@media (max-width: 1100px) {
		:global(.bar .menu-narrow) {
			display: block;
		}
	}
</style>
