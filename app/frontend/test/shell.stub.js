// What a field is taken for is said by the server; here it is only noted that it was asked.
export const echoed = [];
export function echo(input) {
  echoed.push(input.value);
}
