<!-- @component What no one could say when the pump was received, and what one sees now that it is open: by its pictures, cylinder by cylinder. -->
<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import { begunWith, keptForm } from '$lib/forms/kept';
	import { noVariants, VARIANTS_FORM } from '$lib/forms/variants';
	import Variants from '$lib/pump/Variants.svelte';
	import Fields from '$lib/ui/Fields.svelte';

	interface Props {
		open: ComponentProps<typeof Variants>['model'];
	}
	let { open }: Props = $props();
	const { form, errors, enhance } = keptForm(begunWith(VARIANTS_FORM, noVariants));
</script>

<form method="post" action="?/variants" use:enhance class="sheet mb-2 grid gap-2 p-4" aria-label="Variant of this pump">
	<Fields>
		<h2>Which variant is it?</h2>
		<p class="soft">Not known at receiving. Until you choose, the mat shows the parts of every variant.</p>
		<Variants
			model={open}
			known={false}
			bind:chosen={() => $form.variants ?? '{}', (answers) => ($form.variants = answers)}
			problem={$errors.variants?.[0]}
		/>
		<div><button class="btn main">Save variant</button></div>
	</Fields>
</form>
