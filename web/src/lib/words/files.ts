const either = new Intl.ListFormat('en', { type: 'disjunction' });

/** Why a file that was chosen or dropped is not taken; `undefined` if it was taken before. `accept` is what its field takes. */
export function fileSentence(name: string, errors: readonly string[], accept: string): string | undefined {
	if (errors.includes('TOO_MANY_FILES')) return 'Choose one file at a time.';
	if (!errors.includes('FILE_INVALID_TYPE')) return undefined;
	const kinds = accept.split(',');
	const endings = kinds.filter((kind) => kind.startsWith('.'));
	const named = endings.length > 0 ? endings : kinds.map((kind) => kind.replace(/^.*\//, '.').replace('.jpeg', '.jpg'));
	return `“${name}” cannot be used here. Choose a file that ends in ${either.format(named)}.`;
}
