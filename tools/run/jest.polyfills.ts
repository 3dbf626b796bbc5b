import { deserialize, serialize } from 'node:v8'

// jsdom hides Node's structuredClone, which fake-indexeddb needs.
globalThis.structuredClone ??= ((value: unknown) => deserialize(serialize(value))) as typeof structuredClone

// jsdom has no layout: what follows the size of an element is never told one
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}
