<!-- @component Every model by its drawing: the stack as it comes out, and what one sees from outside. -->
<script lang="ts">
	import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';
	import type { ModelToReceive } from '@exetasis/server/sheets';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { layoutName, layoutTell } from '$lib/words/layout';

	interface Props {
		models: readonly ModelToReceive[];
		onchoose: (model: string) => void;
		onclose: () => void;
	}
	let { models, onchoose, onclose }: Props = $props();
</script>

<Dialog open onOpenChange={(details) => !details.open && onclose()}>
	<Portal>
		<Dialog.Backdrop class="fixed inset-0 z-40 bg-black/40" />
		<Dialog.Positioner class="fixed inset-0 z-50 grid place-items-center p-4">
			<Dialog.Content class="sheet w-full max-w-6xl max-h-full overflow-y-auto p-5">
				<Dialog.Title><h2>Choose the pump by its drawing</h2></Dialog.Title>
				<Dialog.Description>Pressure side on the left, parts in strip order.</Dialog.Description>
				<ul>
					{#each models as { model, layout, cylinders, stack } (model)}
						<li>
							<button type="button" onclick={() => onchoose(model)}>
								<span><b>{model}</b> · {layoutName(layout)}, {cylinders} cylinders</span>
								<span class="soft">{layoutTell(layout)}</span>
								<span class="stack" aria-hidden="true"
									>{#each stack as { type, face }, i (i)}<Glyph {type} {face} size={26} />{/each}</span
								>
							</button>
						</li>
					{/each}
				</ul>
				<Dialog.CloseTrigger class="btn">Close</Dialog.CloseTrigger>
			</Dialog.Content>
		</Dialog.Positioner>
	</Portal>
</Dialog>

<style>
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr));
		gap: 8px;
		margin: 10px 0;
	}
	button {
		display: grid;
		gap: 4px;
		align-content: start;
		width: 100%;
		height: 100%;
		min-height: 88px;
		padding: 8px 10px;
		text-align: left;
		border: 1px solid var(--line);
		cursor: pointer;
	}
	button:hover {
		border-color: var(--mark);
	}
	.stack {
		display: flex;
		flex-wrap: wrap;
		gap: 1px;
	}
	.soft {
		font-size: 0.82rem;
		line-height: 1.25;
	}
</style>
