<!-- @component The choices of each variant that a part or step applies to; with all or none chosen it applies to every pump. -->
<script lang="ts">
	import { onlyWithChoices } from '@exetasis/core/draft';
	import type { OnlyWith, Variant } from '@exetasis/core/record';

	interface Props {
		variants: readonly Variant[];
		onlyWith: OnlyWith;
		onchange: (onlyWith: OnlyWith) => void;
	}
	let { variants, onlyWith, onchange }: Props = $props();
	function toggle(variant: Variant, choice: string) {
		const before = onlyWith?.[variant.key] ?? [];
		const chosen = before.includes(choice) ? before.filter((other) => other !== choice) : [...before, choice];
		onchange(onlyWithChoices(onlyWith, variant, chosen));
	}
</script>

{#each variants as variant (variant.key)}
	<div class="flex flex-wrap items-center gap-1.5" role="group" aria-label="Only with: {variant.name}">
		<span class="soft">Only with: {variant.name}</span>
		{#each variant.choices as { key, name } (key)}
			<button
				type="button"
				class="btn"
				aria-pressed={onlyWith?.[variant.key]?.includes(key) ?? false}
				onclick={() => toggle(variant, key)}>{name}</button
			>
		{/each}
	</div>
{/each}
