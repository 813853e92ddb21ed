declare module '*/build/tools/fill-demo.js' {
	export function fillDemo(directory: string): Promise<boolean>;
}
