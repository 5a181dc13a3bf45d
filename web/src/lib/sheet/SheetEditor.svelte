<!-- @component The text of a model sheet, with its faults underlined where they are. A plain field until the editor is there. -->
<script lang="ts">
	import { onMount } from 'svelte';

	interface Props {
		label: string;
		name: string;
		text: string;
	}
	let { label, name, text = $bindable() }: Props = $props();
	const id = $props.id();
	let place = $state<HTMLElement>();
	let field = $state<HTMLTextAreaElement>();
	let mounted = $state(false);
	// What is typed before the page has come to life would be lost: until then nothing can be.
	let alive = $state(false);

	onMount(() => {
		alive = true;
		let end = () => {};
		let gone = false;
		void import('./editor').then(({ openEditor }) => {
			// Who types in the plain field already is not interrupted.
			if (gone || !place || document.activeElement === field) return;
			end = openEditor(place, { label, text, onchange: (changed) => (text = changed) });
			mounted = true;
		});
		return () => {
			gone = true;
			end();
		};
	});
</script>

<div class="label">
	{#if mounted}
		<span>{label}</span>
		<input type="hidden" {name} value={text} />
	{:else}
		<label for={id}>{label}</label>
		<textarea
			{id}
			{name}
			rows="8"
			class="figures"
			spellcheck="false"
			readonly={!alive}
			bind:this={field}
			bind:value={text}></textarea>
	{/if}
	<div bind:this={place} class="border border-ink-soft bg-sheet" hidden={!mounted}></div>
</div>
