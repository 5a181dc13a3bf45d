<!-- @component A term of the glossary: a touch opens its entry. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { Popover, Portal } from '@skeletonlabs/skeleton-svelte';
	import { glossary, type Entry, type Explained } from '$lib/words/glossary';

	interface Props {
		term: Explained;
		children: Snippet;
	}
	let { term, children }: Props = $props();
	let open = $state(false);
	let entry = $state.raw<Entry>();

	// Opened before its entry is there, the popover would find nothing to close again. Off the network there may be none.
	async function show(shown: boolean) {
		if (shown) entry ??= (await glossary().catch(() => undefined))?.get(term.toLowerCase());
		open = shown && entry !== undefined;
	}
</script>

<!-- The popover listens for Escape only from the frame after it is shown. -->
<svelte:window onkeydown={({ key }) => key === 'Escape' && (open = false)} />

<!-- No space may follow the term: a full stop may. -->
<Popover {open} onOpenChange={(details) => void show(details.open)}
	><Popover.Trigger class="term">{@render children()}</Popover.Trigger>{#if open && entry}<Portal
			><Popover.Positioner class="z-50">
				<Popover.Content
					class="sheet max-w-80! border-[1.5px]! border-ink! px-3! py-2.5! text-[0.9rem]! leading-[1.35]! text-ink!"
					aria-label="Glossary: {entry.term}"
				>
					<b>{entry.term}</b>: {entry.says}
				</Popover.Content>
			</Popover.Positioner></Portal
		>{/if}</Popover
>

<style>
	:global(.term) {
		/* As large as a thumb needs, without moving the lines apart. */
		display: inline-block;
		padding: 11px 7px;
		margin: -11px -7px;
		font: inherit;
		color: inherit;
		text-decoration: underline dotted;
		text-underline-offset: 3px;
		cursor: help;
	}
</style>
