<!-- @component The fields of a form. What is typed or chosen before the page has come to life would be lost: until then nothing can be. -->
<script lang="ts">
	import { onMount, type Snippet } from 'svelte';

	interface Props {
		children: Snippet;
	}
	let { children }: Props = $props();
	let alive = $state(false);
	onMount(() => void (alive = true));
</script>

<fieldset class="contents" disabled={!alive}>{@render children()}</fieldset>
