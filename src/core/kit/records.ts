/** The keys of a closed record, with their type. */
export const keysOf = <Key extends string>(record: Readonly<Record<Key, unknown>>): [Key, ...Key[]] =>
  Object.keys(record) as [Key, ...Key[]];

/** A record with the same keys and other values. */
export function mapRecord<Key extends string, Value, Other>(
  record: Readonly<Record<Key, Value>>,
  valueOf: (value: Value, key: Key) => Other,
): Record<Key, Other> {
  return recordOf(keysOf(record), (key) => valueOf(record[key], key));
}

/** A record with a value for each of the keys. */
export function recordOf<Key extends string, Value>(
  keys: readonly Key[],
  valueOf: (key: Key) => Value,
): Record<Key, Value> {
  return Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<Key, Value>;
}
