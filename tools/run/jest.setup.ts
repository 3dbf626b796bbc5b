import '@testing-library/jest-dom'
import 'fake-indexeddb/auto'

// jsdom lays nothing out, so it has no scrolling.
Element.prototype.scrollIntoView ??= () => {}
