/** Stands in for icon fonts in component tests: they load in their own time, which no test is about. */
export default function NoIcon() {
  return null;
}
