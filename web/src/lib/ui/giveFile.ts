const KEPT_MS = 60_000;

/** Gives a person a file of this name. */
export function giveFile(name: string, content: Blob): void {
	const address = URL.createObjectURL(content);
	Object.assign(document.createElement('a'), { href: address, download: name }).click();
	setTimeout(() => URL.revokeObjectURL(address), KEPT_MS);
}
