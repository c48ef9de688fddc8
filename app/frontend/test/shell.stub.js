// What a field is taken for is said by the server; nobody listens here.
export function echo() {}
