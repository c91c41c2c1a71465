import { palletPdf } from '@/formats/palletPdf'
import { runPdf } from '../../../runPdf'

/** The template of a run for its pallet, as it is planned now. */
export const GET = (
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> => runPdf(request, params, 'pallet', palletPdf)
