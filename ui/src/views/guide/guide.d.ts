declare module "virtual:guide" {
  /** A page of the guide, rendered when the interface is built. */
  export type GuidePage = { name: string; part: string; title: string; html: string; text: string };
  const pages: GuidePage[];
  export default pages;
}
