import '@testing-library/jest-dom'
import 'fake-indexeddb/auto'
import { configure } from '@testing-library/react'

// jsdom lays nothing out, so it has no scrolling.
Element.prototype.scrollIntoView ??= () => {}

// what is waited for ends as soon as it is there; on a busy machine a second is not enough
configure({ asyncUtilTimeout: 25_000 })
