export { normals, seedOf, uniforms } from './chance'
