export { betweenMarks, inEveryScale } from './convert'
export { AbrasiveError, abrasiveName, grainFigure, grainSize, type AbrasiveMark } from './grain'
export { scaleTables, type AbrasiveScale } from './scales'
export { typedLadder } from './typed'
