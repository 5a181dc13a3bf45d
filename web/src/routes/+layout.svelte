<script lang="ts">
	import '../app.css';
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import Bar from '$lib/bar/Bar.svelte';
	import Timers from '$lib/build/Timers.svelte';
	import Hatching from '$lib/glyph/Hatching.svelte';
	import { browser } from '$app/environment';
	import { Outbox } from '$lib/log/outbox.svelte';
	import { provideOutbox } from '$lib/log/outboxInUse';
	import OutboxNotice from '$lib/log/OutboxNotice.svelte';
	import { provideFormat } from '$lib/format/context';
	import { watchTextSize } from '$lib/theme/largeText';

	let { data, children } = $props();
	provideFormat(() => data.notation);
	// One for the whole application, of the person who is signed in.
	const userId = $derived(data.user?.id);
	const outbox = $derived(browser && userId ? new Outbox(userId) : undefined);
	provideOutbox(() => outbox);
	$effect(() => outbox?.open());
	// A job has its own bar.
	const onBench = $derived(page.route.id?.startsWith('/jobs/[job]'));

	onMount(() => {
		window.alive = true;
		if (window.pressedEarly?.isConnected) window.pressedEarly.click();
	});

	$effect(watchTextSize);
	// The theme stands on the document, outside of what this component renders.
	$effect(() => {
		document.documentElement.dataset.mode = data.user?.theme ?? 'light';
	});
</script>

<a class="skip btn absolute -top-[100px] left-2 z-60" href="#content">Skip to the content</a>
<Hatching />
{#if data.user}<Timers />{/if}
{#if data.user && !onBench}<Bar />{/if}
{#if onBench}
	{@render children()}
{:else}
	<main id="content" tabindex="-1">
		{#if outbox}<OutboxNotice {outbox} jobInHand={page.params.job} />{/if}
		{@render children()}
	</main>
{/if}

<style>
	.skip:focus {
		top: 4px;
	}
	#content:focus {
		outline: none;
	}
</style>
