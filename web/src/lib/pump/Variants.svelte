<!-- @component What the sheet asks of this very pump: what its retainers are made of, which style each guide has. -->
<script lang="ts">
	import { chosenSchema, type Chosen, type Variant } from '@exetasis/core/record';

	interface Props {
		model: { readonly variants: readonly Variant[]; readonly cylinders: number };
		/** What was chosen, as JSON. */
		chosen: string;
		problem?: string;
	}
	let { model, chosen = $bindable(), problem }: Props = $props();
	const id = $props.id();

	const read = (text: string): Chosen => {
		try {
			return chosenSchema.parse(JSON.parse(text));
		} catch {
			return {}; // of another model, or never chosen
		}
	};
	const answers = $derived(read(chosen));
	const cylinders = $derived(Array.from({ length: model.cylinders }, (_, i) => i));
	const answerAt = ({ key }: Variant, at: number): string => {
		const answer = answers[key];
		return (typeof answer === 'string' ? answer : answer?.[at]) ?? '';
	};

	// One that asks of each cylinder is answered once every cylinder is.
	let begun = $state<Record<string, string[]>>({});
	function choose({ key, per }: Variant, at: number, choice: string) {
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
		<div class="label">
			<label for="{id}-{variant.key}-{at}"
				>{variant.name}{variant.per === 'cylinder' ? `, cylinder ${at + 1}` : ''}</label
			>
			<select
				id="{id}-{variant.key}-{at}"
				class="select"
				value={begun[variant.key]?.[at] ?? answerAt(variant, at)}
				onchange={({ currentTarget }) => choose(variant, at, currentTarget.value)}
			>
				<option value="">not known yet, or as last time</option>
				{#each variant.choices as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</div>
	{/each}
{/each}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
