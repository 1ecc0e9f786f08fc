import fc from 'fast-check'

/**
 * Every wrong line is tried against all tests that come by it: a property is given so long for each, ms, instead of all its runs. What
 * it has not found by then it would seldom find.
 */
fc.configureGlobal({ interruptAfterTimeLimit: 800, markInterruptAsFailure: false })
