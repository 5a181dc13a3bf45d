<!-- @component What is asked for once in a while and laid over the page, or beside Judge: why in full, a part by name, acts for many, the keys. -->
<script lang="ts">
	import { onMount, type Component } from 'svelte';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		/** The part in hand. */
		part: BenchPart;
		/** The window is too narrow to lay anything beside. */
		narrow: boolean;
		onfind: (place: string) => void;
	}
	let { bench, part, narrow, onfind }: Props = $props();

	type Shown = Component<Omit<Props, 'narrow'> & { readonly beside: boolean; readonly onclose: () => void }>;
	const fetched = {
		why: () => import('$lib/judge/WhyInFull.svelte'),
		find: () => import('./FindPart.svelte'),
		many: () => import('./ActsForMany.svelte'),
		keys: () => import('./KeysHelp.svelte')
	};
	let shown = $state.raw<Shown>();
	let which = $state<keyof typeof fetched>();
	const beside = $derived(which === 'why' && !narrow);
	/** Whether one of them lies over the page. */
	export const isOpen = (): boolean => shown !== undefined && !beside;
	/** Whether the explanation stands in place of Look and Measure. */
	export const isBeside = (): boolean => shown !== undefined && beside;
	export async function show(wanted: keyof typeof fetched): Promise<void> {
		const { default: component } = await fetched[wanted]();
		which = wanted;
		shown = component as unknown as Shown;
	}

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
	<Over {bench} {part} {beside} {onfind} onclose={close} />
{/if}
