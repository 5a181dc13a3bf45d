<!-- @component The three grades of a finding as pictures: a touch says which, and what the grade means for the part stands below. -->
<script lang="ts">
	import { partType, type PartTypeKey, type Severity } from '@exetasis/core/part';
	import type { EntryOf } from '@exetasis/core/record';
	import { DAMAGE_BOX, damagePictures } from '$lib/glyph/damage';
	import { severityName } from '$lib/words/reasons';

	interface Props {
		type: PartTypeKey;
		finding: EntryOf<'finding'>;
		locked: boolean;
		onchoose: (grade: Severity) => void;
	}
	let { type, finding, locked, onchoose }: Props = $props();

	const pattern = $derived(finding.payload.pattern);
	const pictures = $derived(damagePictures(type, pattern));
	const outFrom = $derived(partType(type).patterns.find((rule) => rule.pattern === pattern)?.outFrom);
</script>

{#if pictures}
	<div class="grades" role="group" aria-label="Severity">
		{#each [1, 2, 3] as const as grade (grade)}
			<button
				type="button"
				class="btn"
				aria-pressed={finding.payload.severity === grade}
				disabled={locked}
				onclick={() => onchoose(grade)}
			>
				<svg viewBox="0 0 {DAMAGE_BOX.width} {DAMAGE_BOX.height}" aria-hidden="true">
					{#each pictures[grade - 1]! as { d, as, width }, index (index)}
						<path {d} class={as} stroke-width={width} fill-rule="evenodd" />
					{/each}
				</svg>
				<span class="grid text-left"
					>{severityName[grade]}
					{#if outFrom !== undefined && grade >= outFrom}<b class="text-pencil">out</b>{/if}</span
				>
			</button>
		{/each}
	</div>
{/if}

<style>
	.grades {
		display: grid;
		grid-template-columns: repeat(3, 1fr);
		gap: 5px;
		margin-top: 4px;
	}
	.btn {
		gap: 4px;
		padding: 1px 3px;
		font-size: 0.78rem;
		line-height: 1.1;
	}
	svg {
		flex: none;
		height: 38px;
		width: 57px;
	}
	/* Where so little room is left, the pattern itself is pressed again for its next grade. */
	@container panels (height < 458px) {
		.grades {
			display: none;
		}
	}
	path {
		fill: none;
		stroke: currentColor;
		stroke-width: 1;
		stroke-linejoin: round;
	}
	.asNew {
		stroke-dasharray: 2.5 2;
		opacity: 0.7;
	}
	.stroke,
	.area {
		stroke: var(--pencil);
	}
	.area {
		fill: var(--pencil);
		fill-opacity: 0.45;
		stroke-width: 0.6;
	}
</style>
