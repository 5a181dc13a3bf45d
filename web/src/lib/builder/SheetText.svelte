<!-- @component The draft as its text. What is typed there is taken over once it can be read. -->
<script lang="ts">
	import { changesBetween } from '@exetasis/core/draft';
	import { sheetDraftSchema } from '@exetasis/core/record';
	import SheetEditor from '$lib/sheet/SheetEditor.svelte';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		mayEdit: boolean;
	}
	let { draft, mayEdit }: Props = $props();
	const written = $derived(JSON.stringify(draft.body, null, '\t'));
	// svelte-ignore state_referenced_locally
	let text = $state(written);
	let problems = $state<readonly string[]>([]);
	const MOST = 10;

	function take() {
		let parsed: unknown;
		try {
			parsed = JSON.parse(text);
		} catch (cause) {
			problems = [`The text is not JSON: ${(cause as Error).message}`];
			return;
		}
		const read = sheetDraftSchema.safeParse(parsed);
		if (!read.success) {
			problems = read.error.issues.slice(0, MOST).map(({ path, message }) => `${path.join('.')}: ${message}`);
			return;
		}
		problems = [];
		if (changesBetween(draft.body, read.data).length > 0) draft.change(read.data);
	}
</script>

<p class="soft">The same sheet in the open format. A change here shows in the drawing once it is taken over.</p>
<SheetEditor label="Text of the sheet" name="text" bind:text />
{#if problems.length > 0}
	<div role="alert">
		<p class="wrong">The text was not taken over. It stays here.</p>
		<ul>
			{#each problems as problem (problem)}<li class="wrong">{problem}</li>{/each}
		</ul>
	</div>
{/if}
{#if mayEdit}<div class="mt-2"><button type="button" class="btn main" onclick={take}>Take over text</button></div>{/if}
