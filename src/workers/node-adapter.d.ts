declare module 'comlink/dist/esm/node-adapter.mjs' {
  export { default, type NodeEndpoint } from 'comlink/dist/esm/node-adapter'
}
