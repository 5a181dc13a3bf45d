<!-- @component The pages of the application and what belongs to the person, folded into one button of the bar. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import MenuIcon from '@lucide/svelte/icons/menu';
	import { Menu, Portal } from '@skeletonlabs/skeleton-svelte';
	import { isHere, pages } from './pages';

	interface Props {
		open?: boolean;
		who: string;
		otherTheme: 'light' | 'dark';
		ontheme: () => void;
		onsignout: () => void;
	}
	let { open = false, who, otherTheme, ontheme, onsignout }: Props = $props();

	function choose(value: string) {
		if (value === 'theme') ontheme();
		else if (value === 'signout') onsignout();
		else void goto(value);
	}
</script>

<Menu defaultOpen={open} onSelect={({ value }) => choose(value)}>
	<Menu.Trigger class="btn-icon" aria-label="Pages"><MenuIcon size={20} /></Menu.Trigger>
	<Portal>
		<Menu.Positioner class="z-50">
			<Menu.Content class="sheet menu">
				<Menu.ItemGroup>
					{#each pages as [path, name] (path)}
						<Menu.Item
							value={path}
							class="menu-item"
							aria-current={isHere(path, page.url.pathname) ? 'page' : undefined}
						>
							<Menu.ItemText>{name}</Menu.ItemText>
						</Menu.Item>
					{/each}
				</Menu.ItemGroup>
				<Menu.Separator class="menu-line" />
				<Menu.ItemGroup>
					<Menu.ItemGroupLabel class="menu-label soft">{who}</Menu.ItemGroupLabel>
					<Menu.Item value="theme" class="menu-item"><Menu.ItemText>Switch to {otherTheme}</Menu.ItemText></Menu.Item>
					<Menu.Item value="signout" class="menu-item"><Menu.ItemText>Sign out</Menu.ItemText></Menu.Item>
				</Menu.ItemGroup>
			</Menu.Content>
		</Menu.Positioner>
	</Portal>
</Menu>
