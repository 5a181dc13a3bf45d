<!-- @component Opens a case on what recurs at one place: what it is thought to be, and why. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { keptForm } from '$lib/forms/kept';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';

	interface Props {
		form: SuperValidated<
			{ station: string; cylinder: string; pattern: string; cause: string; hypothesis: string },
			string
		>;
		place: { readonly station: string; readonly cylinder: number; readonly pattern: string; readonly words: string };
		/** Key and name of each cause, the most probable first. */
		causes: readonly (readonly [key: string, name: string])[];
	}
	let { form: given, place, causes }: Props = $props();
	const { form, errors, enhance, message } = keptForm(untrack(() => given));
</script>

<details class="mt-2">
	<summary class="btn">New case</summary>
	<form method="post" use:enhance class="sheet mt-2 grid max-w-2xl gap-3 p-4">
		<Fields>
			<p>On <b>{place.words}</b>, from the pump’s last rebuild on. The case appears when the pump is received again.</p>
			<input type="hidden" name="station" value={place.station} />
			<input type="hidden" name="cylinder" value={String(place.cylinder)} />
			<input type="hidden" name="pattern" value={place.pattern} />
			<Field
				name="cause"
				label="Suspected cause"
				bind:value={$form.cause}
				errors={$errors.cause}
				options={[['', 'Choose'], ...causes]}
			/>
			<Field name="hypothesis" label="Hypothesis" bind:value={$form.hypothesis} errors={$errors.hypothesis} />
			<div><button class="btn main">Open case</button></div>
		</Fields>
	</form>
</details>
{#if $message}<p role="status">{$message}</p>{/if}
