<!-- @component The shop's people: who may do what; a lead invites, renames, gives a role, takes sign-in away. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { keptForm } from '$lib/forms/kept';
	import { roles } from '$lib/forms/people';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
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
		technician: 'Technician: receives, inspects, releases',
		lead: 'Lead: also rules, people, gauges, sheets, corrections',
		viewer: 'Viewer: reads everything, records nothing'
	} as const;
	const offered = roles.map((role) => [role, roleSays[role]] as const);
	let editing = $state('');
	type Person = (typeof data.staff)[number];
	const columns: readonly Column<Person>[] = [
		{ key: 'name', head: 'Name', of: ({ name }) => name },
		{ key: 'email', head: 'E-mail', of: ({ email }) => email },
		{ key: 'role', head: 'Role', of: ({ role }) => role },
		{ key: 'active', head: 'May sign in', of: ({ active }) => (active ? 'yes' : 'no') }
	];
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>People · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
{#if answer && 'people' in answer && answer.people}<p class="wrong" role="alert">{answer.people}</p>{/if}
{#snippet acts(person: Person)}
	<div class="flex gap-2">
		<button type="button" class="btn" aria-label="Change: {person.name}" onclick={() => (editing = person.id)}
			>Change</button
		>
		{#if person.id !== data.user?.id}
			<form method="post" action="?/active" use:enhance>
				<Fields>
					<input type="hidden" name="person" value={person.id} />
					<input type="hidden" name="active" value={String(!person.active)} />
					<button class="btn" aria-label="{person.active ? 'Deactivate' : 'Reactivate'}: {person.name}"
						>{person.active ? 'Deactivate' : 'Reactivate'}</button
					>
				</Fields>
			</form>
		{/if}
	</div>
{/snippet}
<DataTable
	label="People"
	rows={data.staff}
	{columns}
	empty="No people yet."
	picked={({ id }) => id === editing}
	acts={data.mayManage ? acts : undefined}
/>
{#each data.staff.filter(({ id }) => id === editing) as person (person.id)}
	<form
		method="post"
		action="?/change"
		class="sheet mt-2 flex flex-wrap items-end gap-3 p-4"
		use:enhance={() =>
			async ({ update, result }) => {
				await update({ reset: false });
				if (result.type === 'success') editing = '';
			}}
	>
		<input type="hidden" name="person" value={person.id} />
		<Field name="name" label="Name" value={person.name} />
		<Field name="role" label="Role" value={person.role} options={offered} />
		<button class="btn main">Save</button>
		<button type="button" class="btn" onclick={() => (editing = '')}>Cancel</button>
	</form>
{/each}
<p class="soft mt-2">A change of role or deactivation ends all sessions of this person at once. Their records stay.</p>
{#if data.mayManage}
	<form method="post" action="?/invite" use:keep class="sheet mt-4 grid gap-3 p-4">
		<Fields>
			<h2>Invite a person</h2>
			<div class="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
				<Field name="name" label="Name" bind:value={$form.name} errors={$errors.name} />
				<Field name="email" label="E-mail" type="email" bind:value={$form.email} errors={$errors.email} />
				<Field name="role" label="Role" bind:value={$form.role} errors={$errors.role} options={offered} />
			</div>
			<div><button class="btn main">Invite</button></div>
			{#if $message}<p role="status">{$message}</p>{/if}
		</Fields>
	</form>
{/if}
