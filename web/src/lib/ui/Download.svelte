<!-- @component A file that takes a moment to be made: says so while it is, and what to do where it is not. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { giveFile } from './giveFile';
	import Working from './Working.svelte';

	interface Props {
		href: string;
		children: Snippet;
	}
	let { href, children }: Props = $props();
	let making = $state(false);
	let problem = $state('');

	async function fetchIt(event: MouseEvent) {
		// A modified click, or one before the page lives, leaves it to the browser.
		if (event.ctrlKey || event.metaKey || event.shiftKey) return;
		event.preventDefault();
		if (making) return;
		[making, problem] = [true, ''];
		try {
			const answer = await fetch(href);
			if (!answer.ok) throw new Error(String(answer.status));
			// A person who is signed out gets a page, not the file.
			const name = /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '')?.[1];
			if (!name) throw new Error('no file');
			giveFile(name, await answer.blob());
		} catch {
			problem = 'The file could not be created. Try again in a moment, or sign in again.';
		}
		making = false;
	}
</script>

<a class="btn" {href} download data-sveltekit-reload aria-busy={making} onclick={(event) => void fetchIt(event)}
	>{@render children()}</a
>{#if making}<Working what="Creating the file …" />{/if}{#if problem}<span class="wrong" role="alert">{problem}</span
	>{/if}
