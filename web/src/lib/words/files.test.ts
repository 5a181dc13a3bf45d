import { describe, expect, it } from 'vitest';
import { fileSentence } from './files';

describe('fileSentence', () => {
	it('names the endings that the field takes', () => {
		const sentence = (accept: string) => fileSentence('notes.txt', ['FILE_INVALID_TYPE'], accept);
		expect(sentence('.csv,.xlsx,text/csv')).toBe(
			'“notes.txt” cannot be used here. Choose a file that ends in .csv or .xlsx.'
		);
		expect(sentence('image/png,image/jpeg,image/webp')).toMatch(/ends in \.png, \.jpg, or \.webp\.$/);
	});
	it('asks for one file where several were dropped', () => {
		expect(fileSentence('a.csv', ['TOO_MANY_FILES'], '.csv')).toBe('Choose one file at a time.');
	});
	it('says nothing of a file that is there already', () => {
		expect(fileSentence('a.csv', ['FILE_EXISTS'], '.csv')).toBeUndefined();
	});
});
