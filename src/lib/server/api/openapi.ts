import { z } from 'zod';
import { createDocument, type ZodOpenApiOperationObject, type ZodOpenApiPathsObject } from 'zod-openapi';
import type { Described } from './operation';

type Handlers = Readonly<Record<string, unknown>>;
const isDescribed = (handler: unknown): handler is Described<() => void> =>
	typeof handler === 'function' && 'operation' in handler;

/** `/src/routes/api/setups/[id]/+server.ts` → `/api/setups/{id}`. */
const pathOf = (file: string): string =>
	file
		.replace(/^.*\/routes/, '')
		.replace(/\/\+server\.ts$/, '')
		.replaceAll('[', '{')
		.replaceAll(']', '}');

function withParams(path: string, operation: ZodOpenApiOperationObject): ZodOpenApiOperationObject {
	const names = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
	if (names.length === 0) return operation;
	const params = z.object(Object.fromEntries(names.map((name) => [name, z.string()])));
	return { ...operation, requestParams: { ...operation.requestParams, path: params } };
}

/** The API described by its own routes: by file, what each handler says of itself. */
export function openApiDocument(routes: Readonly<Record<string, Handlers>>) {
	const paths: ZodOpenApiPathsObject = {};
	for (const [file, handlers] of Object.entries(routes)) {
		const path = pathOf(file);
		const operations = Object.entries(handlers).flatMap(([method, handler]) =>
			isDescribed(handler) ? [[method.toLowerCase(), withParams(path, handler.operation)]] : []
		);
		if (operations.length > 0) paths[path] = Object.fromEntries(operations);
	}
	return createDocument({
		openapi: '3.1.0',
		info: {
			title: 'Wendle',
			version: '0.1.0',
			description: 'How much backing fits under a fly line, and when to stop winding. Units are in the names.'
		},
		paths
	});
}
