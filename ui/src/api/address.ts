/** The path under which the application is served, "" or such as "/tack". The page says it. */
export const basePath = document.querySelector<HTMLMetaElement>('meta[name="base-path"]')?.content ?? "";

/** Where something of the application lies, such as "/api/project". */
export const address = (path: string) => `${basePath}${path}`;
