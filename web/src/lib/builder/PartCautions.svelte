<!-- @component Cautions: those usual for the part type, or one in own words. -->
<script lang="ts">
	import type { Caution } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { hazardName } from '$lib/words/hazards';

	interface Props {
		cautions: readonly Caution[];
		offered: readonly Caution[];
		onchange: (cautions: readonly Caution[]) => void;
	}
	let { cautions, offered, onchange }: Props = $props();
	const MOST = 8;
	let hazard = $state<Caution['hazard']>('damage');
	const left = $derived(offered.filter(({ text }) => !cautions.some((caution) => caution.text === text)).slice(0, 4));
	const add = (caution: Caution) => cautions.length < MOST && onchange([...cautions, caution]);
</script>

{#each cautions as caution (caution.text)}
	<p class="caution border-l-3 border-l-pencil pl-2">
		<b>{hazardName[caution.hazard]}</b>
		{caution.text}
		<button type="button" class="btn" onclick={() => onchange(cautions.filter((candidate) => candidate !== caution))}
			>Delete</button
		>
	</p>
{/each}
{#each left as caution (caution.text)}
	<button type="button" class="btn justify-start! text-left font-[450]!" onclick={() => add(caution)}
		>+ {caution.text}</button
	>
{/each}
<div class="two grid grid-cols-[9rem_1fr] gap-2 items-end">
	<Choose
		label="Hazard"
		value={hazard}
		options={Object.entries(hazardName) as [Caution['hazard'], string][]}
		onchoose={(chosen) => (hazard = chosen)}
	/>
	{#key cautions.length}
		<TextEdit label="Add caution" value={undefined} optional onchange={(text) => text && add({ hazard, text })} />
	{/key}
</div>
