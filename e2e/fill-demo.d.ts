declare module '*/build/tools/fill-demo.js' {
	export function fillDemo(directory: string): Promise<boolean>;
	export function fillOrders(directory: string): Promise<boolean>;
}
