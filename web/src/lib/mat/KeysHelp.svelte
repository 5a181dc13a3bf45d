<!-- @component The help overlay that lists the keys of the mat. -->
<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';

	interface Props {
		onclose: () => void;
	}
	let { onclose }: Props = $props();

	const keys: readonly [string, string][] = [
		['← → ↑ ↓', 'move from part to part'],
		['Q W E R T', 'mark the damage pattern with that letter; again raises the severity, a fourth time removes it'],
		['A S D F G', 'the same for the second row, by the position of the key'],
		['Space', 'clean, no damage found'],
		['0 … 9 . , −', 'start a reading; add a unit if it differs from the one shown'],
		['Enter', 'saves the reading and moves on; then accepts the verdict and goes to the next part'],
		['Backspace', 'undoes your last entry'],
		['Home, End', 'first and last part of the row'],
		['Esc', 'return from a field to the mat'],
		['?', 'this list']
	];
</script>

<Dialog title="Keyboard" description="Everything works by touch as well." {onclose}>
	<dl class="my-3 grid grid-cols-[9rem_1fr] gap-x-4 gap-y-1">
		{#each keys as [key, meaning] (key)}
			<dt class="figures">{key}</dt>
			<dd>{meaning}</dd>
		{/each}
	</dl>
	<p class="soft">
		Marks on the mat: dotted = not inspected, ring = reuse, struck through = replace, wave = recheck, bracket = handling
		damage. P is the pressure side (left), C the crank side (right).
	</p>
</Dialog>
