<!-- @component A pad for gloves: digits, sign and unit of a reading, take and take back. Keys of 56 px and more. -->
<script lang="ts">
	import Delete from '@lucide/svelte/icons/delete';

	interface Props {
		/** The unit that a reading is in when none is chosen, and after a touch the next that it may be in. */
		unit: string;
		/** What the big key does: takes what is typed, or accepts the verdict where nothing is. */
		main: string;
		canTakeBack: boolean;
		ontype: (character: string) => void;
		onerase: () => void;
		onunit: () => void;
		ontakeback: () => void;
		onmain: () => void;
	}
	let { unit, main, canTakeBack, ontype, onerase, onunit, ontakeback, onmain }: Props = $props();
	const keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '−'] as const;
	const spoken: Partial<Record<string, string>> = { '.': 'Decimal sign', '−': 'Sign' };

	// The field keeps the focus, so that keys and a gauge that types still reach it.
	const keepFocus = (event: PointerEvent) => event.preventDefault();

	const shape = 'btn min-h-15! min-w-14! p-[0.2rem]! max-[600px]:min-h-12!';
</script>

<div
	class="grid grid-cols-[3fr_1.15fr] gap-2 touch-manipulation max-[600px]:gap-1"
	role="group"
	aria-label="Pad"
	onpointerdown={keepFocus}
>
	<div class="grid grid-cols-[repeat(3,1fr)] gap-2 max-[600px]:gap-1">
		{#each keys as key (key)}
			<button type="button" class="figures text-2xl! {shape}" aria-label={spoken[key]} onclick={() => ontype(key)}
				>{key}</button
			>
		{/each}
	</div>
	<div class="grid gap-2 max-[600px]:gap-1">
		<button type="button" class={shape} aria-label="Erase" onclick={onerase}><Delete size={22} /></button>
		<button type="button" class="figures {shape}" aria-label="Unit: {unit}" onclick={onunit}>{unit}</button>
		<button type="button" class={shape} disabled={!canTakeBack} onclick={ontakeback}>Undo reading</button>
	</div>
	<button
		type="button"
		class="btn main col-span-full min-h-16! p-[0.2rem]! text-[1.1rem]! max-[600px]:min-h-13!"
		onclick={onmain}>{main}</button
	>
</div>
