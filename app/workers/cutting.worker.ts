import { cutStock, type StockProblem } from '#core/barrel'

/** Lays out sticks away from the page, so that it never stands still. Answers carry the number of their question. */
self.onmessage = ({ data: { number, problem } }: MessageEvent<{ number: number, problem: StockProblem }>) => {
  try {
    self.postMessage({ number, layout: cutStock(problem) })
  } catch (error) {
    self.postMessage({ number, fault: (error as Error).message })
  }
}
