/** Migrations are read in as text by the build. */
declare module '*.sql' {
  const text: string
  export default text
}
