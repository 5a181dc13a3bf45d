// The tables, one file a subject. Their rows are typed by their columns.
export * from './shops';
export * from './people';
export * from './sheets';
export * from './gauges';
export * from './pumps';
export * from './jobs';
export * from './parts';
export * from './log';
export * from './tracing';
export type { RowOf, Table } from './columns';
