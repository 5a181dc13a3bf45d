<!-- @component The shop's people: who may do what; a lead invites, renames, gives a role, takes sign-in away. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { keptForm } from '$lib/forms/kept';
	import { roles } from '$lib/forms/people';
	import Field from '$lib/ui/Field.svelte';
	import ShopNav from '$lib/ui/ShopNav.svelte';

	let { data, form: answer } = $props();
	const {
		form,
		errors,
		enhance: keep,
		message
	} = keptForm(
		untrack(() => data.form),
		{ resetForm: true }
	);
	const roleSays = {
		technician: 'technician: receives, inspects, releases',
		lead: 'lead: also rules, people, gauges, sheets, corrections',
		viewer: 'viewer: sees everything, records nothing'
	} as const;
	const offered = roles.map((role) => [role, roleSays[role]] as const);
	let editing = $state('');
</script>

<svelte:head><title>People · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
{#if answer && 'people' in answer && answer.people}<p class="wrong" role="alert">{answer.people}</p>{/if}
<div class="overflow-x-auto">
	<table class="table sheet">
		<thead><tr><th>Name</th><th>E-mail</th><th>Role</th><th>May sign in</th><th></th></tr></thead>
		<tbody>
			{#each data.staff as person (person.id)}
				<tr>
					{#if editing === person.id}
						<td colspan="5">
							<form
								method="post"
								action="?/change"
								class="flex flex-wrap items-end gap-3"
								use:enhance={() =>
									async ({ update, result }) => {
										await update({ reset: false });
										if (result.type === 'success') editing = '';
									}}
							>
								<input type="hidden" name="person" value={person.id} />
								<label class="label"
									><span>Name</span><input class="input" name="name" value={person.name} autocomplete="off" /></label
								>
								<label class="label"
									><span>Role</span><select class="select" name="role" value={person.role}
										>{#each offered as [role, says] (role)}<option value={role}>{says}</option>{/each}</select
									></label
								>
								<button class="btn main">Save</button>
								<button type="button" class="btn" onclick={() => (editing = '')}>Leave it</button>
							</form>
						</td>
					{:else}
						<td>{person.name}</td>
						<td>{person.email}</td>
						<td>{person.role}</td>
						<td>{person.active ? 'yes' : 'no'}</td>
						<td>
							{#if data.mayManage}
								<div class="flex gap-2">
									<button
										type="button"
										class="btn"
										aria-label="Change: {person.name}"
										onclick={() => (editing = person.id)}>Change</button
									>
									{#if person.id !== data.user?.id}
										<form method="post" action="?/active" use:enhance>
											<input type="hidden" name="person" value={person.id} />
											<input type="hidden" name="active" value={String(!person.active)} />
											<button
												class="btn"
												aria-label="{person.active ? 'Take sign-in away' : 'Give sign-in back'}: {person.name}"
												>{person.active ? 'Take sign-in away' : 'Give sign-in back'}</button
											>
										</form>
									{/if}
								</div>
							{/if}
						</td>
					{/if}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<p class="soft mt-2">
	Taking sign-in away, or another role, ends all that person’s sessions at once. What they recorded stays.
</p>
{#if data.mayManage}
	<form method="post" action="?/invite" use:keep class="sheet mt-4 grid gap-3 p-4">
		<h2>Invite somebody</h2>
		<div class="grid gap-3 sm:grid-cols-3">
			<Field name="name" label="Name" bind:value={$form.name} errors={$errors.name} />
			<Field name="email" label="E-mail" type="email" bind:value={$form.email} errors={$errors.email} />
			<Field name="role" label="Role" bind:value={$form.role} errors={$errors.role} options={offered} />
		</div>
		<div><button class="btn main">Invite</button></div>
		{#if $message}<p role="status">{$message}</p>{/if}
	</form>
{/if}
