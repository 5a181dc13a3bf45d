<!-- @component A dialog over the page: its title, acts and Close stay at the top, the rest scrolls. Laid beside what stays in sight, it covers only its place. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		title: string;
		/** Stands behind the title, in its line. */
		after?: Snippet;
		description?: string;
		width?: 'narrow' | 'wide';
		/** Not over the page but in the box that it stands in; what lies around it can be used. */
		beside?: boolean;
		/** Buttons before Close. */
		acts?: Snippet;
		onclose: () => void;
		children: Snippet;
	}
	let { title, after, description, width = 'narrow', beside = false, acts, onclose, children }: Props = $props();
</script>

<Dialog open modal={!beside} closeOnInteractOutside={!beside} onOpenChange={({ open }) => !open && onclose()}>
	<Portal disabled={beside}>
		{#if !beside}<Dialog.Backdrop class="fixed inset-0 z-40 bg-black/50" />{/if}
		<Dialog.Positioner class={beside ? 'beside' : 'fixed inset-0 z-50 grid place-items-center p-3'}>
			<Dialog.Content class="sheet dialog-box {width}">
				<header>
					<Dialog.Title><h2>{title}{@render after?.()}</h2></Dialog.Title>
					<div class="flex flex-none gap-1.5">
						{@render acts?.()}
						<Dialog.CloseTrigger class="btn">Close</Dialog.CloseTrigger>
					</div>
				</header>
				{#if description}<Dialog.Description class="soft">{description}</Dialog.Description>{/if}
				{@render children()}
			</Dialog.Content>
		</Dialog.Positioner>
	</Portal>
</Dialog>

<style>
	:global(.dialog-box) {
		width: 100%;
		max-height: calc(100dvh - 24px);
		overflow-y: auto;
		padding: 0 1rem 1rem;
	}
	:global(.dialog-box.narrow) {
		max-width: 38rem;
	}
	:global(.dialog-box.wide) {
		max-width: 76rem;
	}
	:global(.beside > .dialog-box.dialog-box) {
		max-width: none;
		height: 100%;
		max-height: none;
	}
	header {
		position: sticky;
		top: 0;
		z-index: 1;
		display: flex;
		align-items: center;
		justify-content: space-between;
		gap: 0.5rem;
		padding: 0.4rem 0;
		background: var(--sheet);
		border-bottom: 1px solid var(--line);
	}
</style>
