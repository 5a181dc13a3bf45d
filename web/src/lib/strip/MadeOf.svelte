<!-- @component What nobody could say when the pump was received, and what one sees now that it is open: by its pictures, cylinder by cylinder. -->
<script lang="ts">
	import { untrack, type ComponentProps } from 'svelte';
	import type { Infer, SuperValidated } from 'sveltekit-superforms';
	import { keptForm } from '$lib/forms/kept';
	import type { madeOfSchema } from '$lib/forms/madeOf';
	import Variants from '$lib/pump/Variants.svelte';
	import Fields from '$lib/ui/Fields.svelte';

	interface Props {
		open: ComponentProps<typeof Variants>['model'];
		form: SuperValidated<Infer<typeof madeOfSchema>>;
	}
	let { open, form: given }: Props = $props();
	const { form, errors, enhance } = keptForm(untrack(() => given));
</script>

<form method="post" use:enhance class="sheet mb-2 grid gap-2 p-4" aria-label="Found so">
	<Fields>
		<h2>What is it made of?</h2>
		<p class="soft">Nobody could say when it came in. Until it is said, the parts of every kind lie on the mat.</p>
		<Variants
			model={open}
			known={false}
			bind:chosen={() => $form.variants ?? '{}', (answers) => ($form.variants = answers)}
			problem={$errors.variants?.[0]}
		/>
		<div><button class="btn main">It is so</button></div>
	</Fields>
</form>
