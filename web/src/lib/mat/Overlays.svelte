<!-- @component What is asked for once in a while and laid over the page: why in full, a part by name, acts for many, the keys. -->
<script lang="ts">
	import { onMount, type Component } from 'svelte';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		/** The part in hand. */
		part: BenchPart;
		onfind: (place: string) => void;
	}
	let { bench, part, onfind }: Props = $props();

	type Shown = Component<Props & { readonly onclose: () => void }>;
	const fetched = {
		why: () => import('$lib/judge/WhyInFull.svelte'),
		find: () => import('./FindPart.svelte'),
		many: () => import('./ActsForMany.svelte'),
		keys: () => import('./KeysHelp.svelte')
	};
	let shown = $state.raw<Shown>();
	/** Whether one of them lies over the page. */
	export const isOpen = (): boolean => shown !== undefined;
	export const show = async (which: keyof typeof fetched): Promise<void> =>
		void (shown = (await fetched[which]()).default as unknown as Shown);

	// Fetched a little after the page stands: they open off the network as well.
	const FETCH_AFTER_MS = 4000;
	onMount(() => {
		const later = setTimeout(() => {
			for (const fetchOne of Object.values(fetched)) void fetchOne().catch(() => undefined); // asked for again then
		}, FETCH_AFTER_MS);
		return () => clearTimeout(later);
	});

	const close = () => (shown = undefined);
	/** Escape closes it from the moment it is drawn; the dialog itself listens only some frames later. */
	const closeByKey = (event: KeyboardEvent) => event.key === 'Escape' && close();
</script>

<svelte:window onkeydowncapture={closeByKey} />
{#if shown}
	{@const Over = shown}
	<Over {bench} {part} {onfind} onclose={close} />
{/if}
