declare module 'psychrolib' {
  const psychrolib: {
    SI: unknown
    SetUnitSystem: (system: unknown) => void
    GetTDewPointFromRelHum: (celsius: number, relativeHumidity: number) => number
  }
  export default psychrolib
}
