import { describe, expect, it } from 'vitest';
import { isGuessedQuickly } from './passwords';

describe('a password', () => {
	it.each(['password12', 'aaaaaaaaaa', 'qwertyuiop', '1234567890', '2026-11-30', 'Harrow2026', 'InesTarn99'])(
		'%s is guessed quickly',
		async (weak) => expect(await isGuessedQuickly(weak, ['Ines Tarn', 'ines@harrow.example'])).toBe(true)
	);
	it.each(['plover ladle quarry mast', 'k7#Qv-tz02Lp', 'ö så många gåtor där'])('%s is not', async (strong) =>
		expect(await isGuessedQuickly(strong, ['Ines Tarn'])).toBe(false)
	);
});
