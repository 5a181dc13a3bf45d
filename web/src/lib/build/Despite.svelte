<!-- @component Goes against the order with a reason, which is kept and shown at Release. -->
<script lang="ts">
	interface Props {
		/** What the button does. */
		act: string;
		onreason: (reason: string) => void;
	}
	let { act, onreason }: Props = $props();
	const id = $props.id();
	let open = $state(false);
	let reason = $state('');
	let problem = $state('');

	function go() {
		const text = reason.trim();
		if (text === '') return void (problem = 'Write the reason first. It is shown at Release.');
		onreason(text);
		reason = '';
	}
</script>

{#if !open}
	<button type="button" class="btn justify-self-start font-medium!" onclick={() => (open = true)}>{act} …</button>
{:else}
	<div class="flex flex-wrap items-center gap-1.5" role="group" aria-label={act}>
		<label for={id}>Reason for a different order</label>
		<input
			{id}
			class="input flex-1 min-w-48"
			autocomplete="off"
			maxlength="400"
			bind:value={reason}
			aria-invalid={problem !== ''}
			onkeydown={(event) => event.key === 'Enter' && go()}
		/>
		<button type="button" class="btn" onclick={go}>{act}</button>
		{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
	</div>
{/if}
