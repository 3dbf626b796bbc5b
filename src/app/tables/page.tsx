import { redirect } from 'next/navigation'

export default function Tables(): never {
  redirect('/tables/saturation')
}
