import { positionPdf } from '@/formats/positionPdf'
import { runPdf } from '../../../runPdf'

/** The film position sheet of a run, as it is planned now. */
export const GET = (
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> => runPdf(request, params, 'position', positionPdf)
