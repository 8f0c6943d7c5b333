/** Prints one part of the page alone; when it is printed the page is whole again. */
export function printAlone(part: HTMLElement) {
  part.classList.add('alone');
  document.body.classList.add('print-alone');
  addEventListener(
    'afterprint',
    () => {
      document.body.classList.remove('print-alone');
      part.classList.remove('alone');
    },
    { once: true },
  );
  window.print();
}
