<!-- @component One's own settings: units, how numbers are written, the bench, the password. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import Field from '$lib/ui/Field.svelte';
	import { say } from '$lib/ui/said';
	import Said from '$lib/ui/Said.svelte';

	let { data } = $props();
	const SAVED = 'Saved.';
	const onUpdated = ({ form }: { form: { valid: boolean } }) => form.valid && say(SAVED);
	const {
		form: units,
		errors: unitsWrong,
		enhance: keepUnits
	} = keptForm(
		untrack(() => data.unitsForm),
		{ onUpdated }
	);
	// Numbers are written by what the page was loaded with.
	const {
		form: written,
		errors: writtenWrong,
		enhance: keepWritten
	} = keptForm(
		untrack(() => data.writtenForm),
		{ onUpdated: ({ form }) => form.valid && location.reload() }
	);
	const {
		form: hands,
		errors: handsWrong,
		enhance: keepHands
	} = keptForm(
		untrack(() => data.handsForm),
		{ onUpdated }
	);
	const { form: passwords, errors: passwordsWrong, enhance: keepPassword } = keptForm(untrack(() => data.passwordForm));

	const lengths = [
		['mm', 'mm'],
		['in', 'inch']
	] as const;
	const torques = [
		['Nm', 'N·m'],
		['ftlbf', 'ft·lbf'],
		['inlbf', 'in·lbf']
	] as const;
	const pressures = [
		['bar', 'bar'],
		['MPa', 'MPa'],
		['psi', 'psi']
	] as const;
	const temperatures = [
		['C', '°C'],
		['F', '°F']
	] as const;
	const numerals = [
		['point-space', '12 345.6'],
		['comma-space', '12 345,6']
	] as const;
	const sides = [
		['right', 'right (Look on the left, Judge on the right)'],
		['left', 'left: mirrored']
	] as const;
	const pads = [
		['touch', 'automatic on touch screens'],
		['always', 'always shown'],
		['never', 'only when opened']
	] as const;
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>Settings · Exetasis</title></svelte:head>
<h1>Settings</h1>
<Said />
<div class="columns grid grid-cols-[repeat(auto-fit,minmax(17rem,1fr))] gap-3 items-start mt-2">
	<form method="post" action="?/units" use:keepUnits class="sheet grid gap-[0.8rem] p-[0.9rem]">
		<Fields>
			<h2>Units</h2>
			<p class="soft">Units change only what you see; stored values stay the same.</p>
			<Field name="length" label="Lengths" options={lengths} bind:value={$units.length} errors={$unitsWrong.length} />
			<Field name="torque" label="Torque" options={torques} bind:value={$units.torque} errors={$unitsWrong.torque} />
			<Field
				name="pressure"
				label="Pressure"
				options={pressures}
				bind:value={$units.pressure}
				errors={$unitsWrong.pressure}
			/>
			<Field
				name="temperature"
				label="Temperature"
				options={temperatures}
				bind:value={$units.temperature}
				errors={$unitsWrong.temperature}
			/>
			<div><button class="btn main">Save</button></div>
		</Fields>
	</form>
	<div class="grid gap-3">
		<form method="post" action="?/numerals" use:keepWritten class="sheet grid gap-[0.8rem] p-[0.9rem]">
			<Fields>
				<h2>Numbers</h2>
				<p class="soft">Both notations are accepted when you type.</p>
				<Field
					name="numerals"
					label="Notation"
					options={numerals}
					bind:value={$written.numerals}
					errors={$writtenWrong.numerals}
				/>
				<div><button class="btn">Save notation</button></div>
			</Fields>
		</form>
		<form method="post" action="?/hands" use:keepHands class="sheet grid gap-[0.8rem] p-[0.9rem]">
			<Fields>
				<h2>At the bench</h2>
				<Field name="hand" label="Working hand" options={sides} bind:value={$hands.hand} errors={$handsWrong.hand} />
				<Field name="pad" label="Pad for readings" options={pads} bind:value={$hands.pad} errors={$handsWrong.pad} />
				<div><button class="btn">Save bench settings</button></div>
			</Fields>
		</form>
	</div>
	<form method="post" action="?/password" use:keepPassword class="sheet grid gap-[0.8rem] p-[0.9rem]">
		<Fields>
			<h2>Password</h2>
			{#if data.firstPassword}
				<p class="wrong" role="status">Other people know your password. Choose a new one before you continue.</p>
			{/if}
			<p class="soft">A new password signs you out on all devices. Then sign in with it.</p>
			<Field
				name="current"
				label="Current password"
				type="password"
				autocomplete="current-password"
				bind:value={$passwords.current}
				errors={$passwordsWrong.current}
			/>
			<Field
				name="next"
				label="New password"
				type="password"
				autocomplete="new-password"
				bind:value={$passwords.next}
				errors={$passwordsWrong.next}
			/>
			<div><button class="btn">Change password</button></div>
		</Fields>
	</form>
</div>
