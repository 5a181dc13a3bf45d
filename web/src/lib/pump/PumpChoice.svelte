<!-- @component One pump of thousands, found on the server by serial number, name, site or model. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import { Combobox, Portal, useListCollection } from '@skeletonlabs/skeleton-svelte';
	import { foundPumpsSchema, pumpLine, type FoundPump } from './found';

	interface Props {
		label: string;
		/** What stands in it at first. */
		first?: string;
		/** Pumps with so many rebuilds at least. */
		rebuilds?: number;
		wrong?: boolean;
		onchoose: (pump: FoundPump) => void;
	}
	let { label, first = '', rebuilds = 0, wrong = false, onchoose }: Props = $props();

	let found = $state.raw<readonly FoundPump[]>([]);
	let silent = $state(false);
	const collection = $derived(
		useListCollection({
			items: [...found],
			itemToString: pumpLine,
			itemToValue: ({ id }) => id
		})
	);

	const WAIT_MS = 150;
	let waiting: ReturnType<typeof setTimeout> | undefined;
	let asked = 0;
	async function find(word: string) {
		const mine = ++asked;
		try {
			const answer = await fetch(`/pumps/find?${new URLSearchParams({ find: word, rebuilds: String(rebuilds) })}`);
			if (!answer.ok) throw new Error(String(answer.status));
			const pumps = foundPumpsSchema.parse(await answer.json());
			if (mine !== asked) return; // a later word has been answered
			found = pumps;
			silent = false;
		} catch {
			silent = true;
		}
	}
	// What is typed before the page has come to life would be lost: until then nothing can be.
	let alive = $state(false);
	onMount(() => {
		alive = true;
		void find('');
	});
	function type(word: string) {
		clearTimeout(waiting);
		waiting = setTimeout(() => void find(word), WAIT_MS);
	}
</script>

<Combobox
	{collection}
	placeholder="Serial, name, site or model"
	defaultInputValue={first}
	openOnClick
	inputBehavior="autohighlight"
	invalid={wrong}
	disabled={!alive}
	onInputValueChange={({ inputValue, reason }) => reason === 'input-change' && type(inputValue)}
	onValueChange={({ items: [pump] }) => pump && onchoose(pump as FoundPump)}
>
	<Combobox.Label class="font-semibold">{label}</Combobox.Label>
	<Combobox.Control class="flex">
		<Combobox.Input class="input" />
		<Combobox.Trigger class="btn-icon" aria-label="Show pumps">▾</Combobox.Trigger>
	</Combobox.Control>
	<Portal>
		<Combobox.Positioner class="z-50">
			<Combobox.Content class="sheet menu max-h-80 overflow-y-auto">
				{#each found as pump (pump.id)}
					<Combobox.Item item={pump} class="menu-item">
						<Combobox.ItemText>{pumpLine(pump)}</Combobox.ItemText>
						<span class="soft ml-2">{pump.model}</span>
					</Combobox.Item>
				{:else}
					<p class="soft p-3">
						{silent ? 'The server does not answer. Try again in a moment.' : 'No pump matches.'}
					</p>
				{/each}
			</Combobox.Content>
		</Combobox.Positioner>
	</Portal>
</Combobox>
