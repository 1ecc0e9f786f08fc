// A busy machine takes its time over a database. Jest passes over a `testTimeout` that stands in one project of several.
jest.setTimeout(60_000)
