// colorjs.io ships no types for this module.
declare module 'colorjs.io/src/spaces/cam16.js' {
  export function environment(
    white: [number, number, number],
    adaptingLuminance: number,
    backgroundLuminance: number,
    surround: 'dark' | 'dim' | 'average',
    discounting: boolean,
  ): object
  export function toCam16(
    xyz: [number, number, number],
    environment: object,
  ): { readonly J: number; readonly M: number; readonly h: number }
}
