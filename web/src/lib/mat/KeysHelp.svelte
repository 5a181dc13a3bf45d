<!-- @component The help overlay that lists the keys of the mat. -->
<script lang="ts">
	import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		onclose: () => void;
	}
	let { onclose }: Props = $props();

	const keys: readonly [string, string][] = [
		['← → ↑ ↓', 'go from part to part on the mat'],
		[
			'Q W E R T',
			'look: mark the pattern on which the letter stands; again makes it worse, a fourth time takes it off'
		],
		['A S D F G', 'the same, second row: by where the key lies, whatever your keyboard writes on it'],
		['Space', 'clean, nothing found'],
		['0 … 9 . , −', 'start a reading, whatever is in hand; type a unit behind it if it is not the one shown'],
		['Enter', 'takes the reading and moves on; then accepts the verdict and goes to the next part'],
		['Backspace', 'takes your last entry back'],
		['Home, End', 'first and last station of the row'],
		['Esc', 'from a field back to the mat'],
		['?', 'this list']
	];
</script>

<Dialog open onOpenChange={(details) => !details.open && onclose()}>
	<Portal>
		<Dialog.Backdrop class="fixed inset-0 z-40 bg-black/40" />
		<Dialog.Positioner class="fixed inset-0 z-50 grid place-items-center p-4">
			<Dialog.Content class="sheet max-w-2xl p-5">
				<Dialog.Title><h2>Keys on the mat</h2></Dialog.Title>
				<Dialog.Description>Everything works by touch as well.</Dialog.Description>
				<dl class="my-3 grid grid-cols-[9rem_1fr] gap-x-4 gap-y-1">
					{#each keys as [key, meaning] (key)}
						<dt class="figures">{key}</dt>
						<dd>{meaning}</dd>
					{/each}
				</dl>
				<p class="soft">
					Marks on the mat: dotted, not looked at; ring, reuse; struck through, replace; wave, look again; bracket,
					handling damage. P is the pressure side, to the left; C the crank side, to the right.
				</p>
				<Dialog.CloseTrigger class="btn main">Close</Dialog.CloseTrigger>
			</Dialog.Content>
		</Dialog.Positioner>
	</Portal>
</Dialog>
