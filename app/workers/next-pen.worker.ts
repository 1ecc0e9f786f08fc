import { bestNextPen, type Job } from '#core/bench'

/** Finds the best pen to take up next away from the page. Answers carry the number of their question. */
self.onmessage = ({ data: { number, jobs } }: MessageEvent<{ number: number, jobs: Job[] }>) => {
  self.postMessage({ number, next: bestNextPen(jobs) })
}
