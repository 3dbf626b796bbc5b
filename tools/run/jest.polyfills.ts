import { deserialize, serialize } from 'node:v8'

// jsdom hides Node's structuredClone, which fake-indexeddb needs.
globalThis.structuredClone ??= ((value: unknown) => deserialize(serialize(value))) as typeof structuredClone
