<!-- @component Tools for the part in hand: those of the sheet, or a new one by its name. -->
<script lang="ts">
	import { keyFor, withPartChanged } from '@exetasis/core/draft';
	import type { Station } from '@exetasis/core/record';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		part: Station;
	}
	let { draft, part }: Props = $props();
	const tools = $derived(draft.body.tools);
	const nameOf = (key: string) => tools.find((tool) => tool.key === key)?.name ?? key;
	const keep = (list: Station['tools']) => draft.change(withPartChanged(draft.body, part.key, { tools: list }));

	function add(name: string | undefined) {
		if (!name || part.tools.length >= 8) return;
		const known = tools.find((tool) => tool.name.toLowerCase() === name.toLowerCase());
		const key =
			known?.key ??
			keyFor(
				name,
				tools.map((tool) => tool.key)
			);
		if (part.tools.some(({ tool }) => tool === key)) return;
		const body = known
			? draft.body
			: { ...draft.body, tools: [...tools, { key, name, special: false, substitutes: [] }] };
		draft.change(withPartChanged(body, part.key, { tools: [...part.tools, { tool: key, for: 'both' }] }));
	}
</script>

<div class="flex flex-wrap gap-1.5">
	{#each part.tools as { tool } (tool)}
		<button
			type="button"
			class="btn"
			aria-label="Remove tool {nameOf(tool)}"
			onclick={() => keep(part.tools.filter((candidate) => candidate.tool !== tool))}>{nameOf(tool)} ×</button
		>
	{/each}
</div>
{#key part.tools.length}
	<TextEdit
		label="Add tool"
		value={undefined}
		optional
		most={120}
		offered={tools.map(({ name }) => name)}
		onchange={add}
	/>
{/key}
