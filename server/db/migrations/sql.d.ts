/** Migrations are read in as text by the build. */
declare module '*.sql?text' {
  const text: string
  export default text
}
