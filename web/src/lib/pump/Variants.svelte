<!-- @component What the sheet asks of this very pump: what its retainers are made of, which style each guide has. -->
<script lang="ts">
	import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';
	import { chosenSchema, type Chosen } from '@exetasis/core/record';
	import type { VariantToChoose } from '@exetasis/server/sheets';
	import VariantPicture from './VariantPicture.svelte';

	interface Props {
		model: { readonly variants: readonly VariantToChoose[]; readonly cylinders: number };
		/** The shop knows this pump: what is left open is as last time. */
		known: boolean;
		/** What was chosen, as JSON. */
		chosen: string;
		problem?: string;
	}
	let { model, known, chosen = $bindable(), problem }: Props = $props();
	const UNKNOWN = 'unknown';

	const read = (text: string): Chosen => {
		try {
			return chosenSchema.parse(JSON.parse(text));
		} catch {
			return {}; // of another model, or never chosen
		}
	};
	const answers = $derived(read(chosen));
	const cylinders = $derived(Array.from({ length: model.cylinders }, (_, i) => i));
	const answerAt = ({ key }: VariantToChoose, at: number): string => {
		const answer = answers[key];
		return (typeof answer === 'string' ? answer : answer?.[at]) ?? '';
	};

	// One that asks of each cylinder is answered once every cylinder is.
	let begun = $state<Record<string, string[]>>({});
	function choose({ key, per }: VariantToChoose, at: number, choice: string) {
		const { [key]: before, ...others } = answers;
		let answer: string | string[] | undefined = choice || undefined;
		if (per === 'cylinder') {
			const each = begun[key] ?? cylinders.map((i) => (Array.isArray(before) ? before[i] : ''));
			each[at] = choice;
			begun[key] = each;
			answer = each.every(Boolean) ? [...each] : undefined;
		}
		chosen = JSON.stringify(answer === undefined ? others : { ...others, [key]: answer });
	}
</script>

<input type="hidden" name="variants" value={chosen} />
{#each model.variants as variant (variant.key)}
	{#each variant.per === 'cylinder' ? cylinders : [0] as at (at)}
		<SegmentedControl
			class="segmented variant"
			value={(begun[variant.key]?.[at] ?? answerAt(variant, at)) || UNKNOWN}
			onValueChange={({ value }) => choose(variant, at, value === UNKNOWN ? '' : (value ?? ''))}
		>
			<SegmentedControl.Label class="label"
				>{variant.name}{variant.per === 'cylinder' ? `, cylinder ${at + 1}` : ''}</SegmentedControl.Label
			>
			<SegmentedControl.Control class="segments variant-choices">
				{#each variant.choices as { key, name } (key)}
					<SegmentedControl.Item value={key} class="btn segment">
						<VariantPicture {variant} choice={key} />
						<SegmentedControl.ItemText>{name}</SegmentedControl.ItemText>
						<SegmentedControl.ItemHiddenInput />
					</SegmentedControl.Item>
				{/each}
				<SegmentedControl.Item value={UNKNOWN} class="btn segment">
					<SegmentedControl.ItemText>{known ? 'as last time' : 'not known'}</SegmentedControl.ItemText>
					<SegmentedControl.ItemHiddenInput />
				</SegmentedControl.Item>
			</SegmentedControl.Control>
		</SegmentedControl>
	{/each}
{/each}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}

<style>
	:global(.variant) {
		display: grid;
		gap: 4px;
	}
	:global(.variant-choices) {
		display: flex;
		flex-wrap: wrap;
		width: auto;
		gap: 0;
	}
</style>
