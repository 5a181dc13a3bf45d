<!-- @component What differs from pump to pump of this model: each question, its choices, and whether each cylinder is asked. -->
<script lang="ts">
	import { namesOnlyWith, withChoice, withoutChoice, withoutVariant, withVariant } from '@exetasis/core/draft';
	import type { Variant } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
	}
	let { draft }: Props = $props();
	const MOST = 12;
	const MOST_CHOICES = 8;
	const { variants } = $derived(draft.body);
	const change = (i: number, next: Partial<Variant>) =>
		draft.change({ ...draft.body, variants: variants.with(i, { ...variants[i], ...next }) });
	let kept = $state('');
	function remove(variant: Variant, choice: string) {
		const [first, ...more] = namesOnlyWith(draft.body, variant.key, choice);
		kept = first
			? `This choice is the only one of: ${[first, ...more].slice(0, 3).join(', ')}${more.length > 2 ? ' …' : ''}. Change that first.`
			: '';
		if (!first) draft.change(withoutChoice(draft.body, variant.key, choice));
	}
</script>

<p class="soft">
	Asked when a pump is received, or where it is opened. Each part and step can be set to apply to some choices only.
</p>
{#each variants as variant, i (variant.key)}
	<section
		class="row grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-2 items-end py-2 border-b border-b-line"
		aria-label="Variant {variant.name}"
	>
		<TextEdit label="What differs" value={variant.name} onchange={(name = variant.name) => change(i, { name })} />
		<Choose
			label="Asked"
			value={variant.per}
			options={[
				['pump', 'once'],
				['cylinder', 'at each cylinder']
			]}
			onchoose={(per) => change(i, { per })}
		/>
		{#each variant.choices as choice, j (choice.key)}
			<div class="flex gap-1 items-end">
				<TextEdit
					label="Choice {j + 1}"
					value={choice.name}
					onchange={(name = choice.name) => change(i, { choices: variant.choices.with(j, { ...choice, name }) })}
				/>
				{#if variant.choices.length > 2}<button
						type="button"
						class="btn"
						aria-label="Delete choice {choice.name}"
						onclick={() => remove(variant, choice.key)}>×</button
					>{/if}
			</div>
		{/each}
		{#if variant.choices.length < MOST_CHOICES}
			{#key variant.choices.length}<TextEdit
					label="New choice"
					value={undefined}
					optional
					onchange={(name) => name && draft.change(withChoice(draft.body, variant.key, name))}
				/>{/key}
		{/if}
		<div class="label">
			<button type="button" class="btn" onclick={() => draft.change(withoutVariant(draft.body, variant.key))}
				>Delete variant</button
			>
		</div>
	</section>
{/each}
{#if kept}<p class="wrong" role="alert">{kept}</p>{/if}
{#if variants.length < MOST}
	{#key variants.length}<TextEdit
			label="New variant: what differs"
			value={undefined}
			optional
			onchange={(name) => name && draft.change(withVariant(draft.body, name))}
		/>{/key}
{/if}
