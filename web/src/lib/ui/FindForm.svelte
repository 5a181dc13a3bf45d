<!-- @component Looks for something in a list that the server pages: a word, and the list again with what holds it. -->
<script lang="ts">
	interface Props {
		/** What is looked for, for those who hear the page. */
		label: string;
		placeholder: string;
		/** What was looked for last. */
		find: string;
	}
	let { label, placeholder, find }: Props = $props();
</script>

<form role="search" class="flex flex-wrap items-end gap-2" data-sveltekit-keepfocus>
	<label class="label w-72"
		><span class="sr-only">{label}</span><input type="search" name="find" {placeholder} value={find} /></label
	>
	<button class="btn">Find</button>
</form>
