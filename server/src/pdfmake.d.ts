/** What we use of pdfmake 0.3, which brings no types of its own. */
declare module 'pdfmake' {
	interface Pdfmake {
		setFonts(fonts: Readonly<Record<string, Readonly<Record<string, string>>>>): void;
		setUrlAccessPolicy(allows: (url: string) => boolean): void;
		setLocalAccessPolicy(allows: (path: string) => boolean): void;
		createPdf(document: object): { getBuffer(): Promise<Buffer> };
	}
	const pdfmake: Pdfmake;
	export default pdfmake;
}
