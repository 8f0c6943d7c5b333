/** Prints one part of the page alone: the one with the class "alone". */
export function printAlone(part: HTMLElement) {
  part.classList.add('alone');
  document.body.classList.add('print-alone');
  window.print();
  document.body.classList.remove('print-alone');
  part.classList.remove('alone');
}
