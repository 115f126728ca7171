import { useSession } from "../api/queries";

/** What the person's role lets them do. The server asks again at every request. */
export function usePermissions() {
  const role = useSession().data?.person.role;
  return { design: role === "builder", edit: role === "builder" || role === "clerk" };
}
