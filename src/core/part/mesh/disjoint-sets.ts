/** Disjoint sets of numbered items; the lowest item of a set is its root. Union by root, paths halved. */
export class DisjointSets {
  /** Parent of each item; a root is its own. */
  parent: Uint32Array;

  constructor(count: number) {
    this.parent = new Uint32Array(count);
    this.reset(count);
  }

  /** Puts each of so many items into a set of its own again. */
  reset(count: number): void {
    if (count > this.parent.length) this.parent = new Uint32Array(2 * count);
    for (let i = 0; i < count; i++) this.parent[i] = i;
  }

  rootOf(item: number): number {
    const { parent } = this;
    while (parent[item] !== item) {
      parent[item] = parent[parent[item]];
      item = parent[item];
    }
    return item;
  }

  /** Puts an item that stands alone into the set of a lower one. */
  attach(alone: number, lower: number): void {
    this.parent[alone] = this.rootOf(lower);
  }

  join(a: number, b: number): void {
    const rootA = this.rootOf(a);
    const rootB = this.rootOf(b);
    if (rootA < rootB) this.parent[rootB] = rootA;
    else this.parent[rootA] = rootB;
  }
}
