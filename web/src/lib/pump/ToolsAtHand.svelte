<!-- @component Special tools that the job wants: at hand, to be borrowed, or replaced by what and at what risk. -->
<script lang="ts">
	import { arrivalFactsSchema, type ArrivalFacts } from '@exetasis/core/record';
	import type { ModelToReceive } from '@exetasis/server/sheets';

	interface Props {
		model: Pick<ModelToReceive, 'special'>;
		scope: string;
		/** What was said of each, as JSON. */
		said: string;
		problem?: string;
	}
	let { model, scope, said = $bindable(), problem }: Props = $props();
	const id = $props.id();

	const tools = $derived(model.special.filter(({ scopes }) => scopes.includes(scope)));
	const read = (text: string): ArrivalFacts['tools'] => {
		try {
			return arrivalFactsSchema.shape.tools.parse(JSON.parse(text));
		} catch {
			return {}; // of another model, or never said
		}
	};
	const of = $derived(read(said));
	const valueOf = (key: string): string => {
		const how = of[key];
		return typeof how === 'object' ? `instead:${how.instead}` : (how ?? '');
	};
	function say(key: string, value: string) {
		const { [key]: _before, ...others } = of;
		const how = value.startsWith('instead:') ? { instead: value.slice('instead:'.length) } : value;
		said = JSON.stringify(value === '' ? others : { ...others, [key]: how });
	}
</script>

<input type="hidden" name="tools" value={said} />
{#each tools as { key, name, substitutes } (key)}
	{@const instead = substitutes.find((other) => valueOf(key) === `instead:${other.name}`)}
	<div class="label">
		<label for="{id}-{key}">{name}</label>
		<select
			id="{id}-{key}"
			class="select"
			value={valueOf(key)}
			onchange={({ currentTarget }) => say(key, currentTarget.value)}
		>
			<option value="">not checked</option>
			<option value="atHand">at hand</option>
			<option value="borrow">borrow it</option>
			{#each substitutes as other (other.name)}<option value="instead:{other.name}"
					>instead: {other.name.toLowerCase()}</option
				>{/each}
		</select>
		{#if instead}<span class="text-doubt text-[0.82rem]">{instead.risk}.</span>{/if}
	</div>
{/each}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
