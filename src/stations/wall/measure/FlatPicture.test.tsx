import { renderToStaticMarkup } from 'react-dom/server'
import { keptMeasures } from '../../../../tests/support/photo/keptMeasures'
import { FlatPicture } from './FlatPicture'

it('marks cells in millimetres of the face, whatever size the picture is kept at', () => {
  // Measured at 0.1 mm a pixel, kept smaller: the cell lies 10 mm from the left of a face of 120 × 90 mm.
  for (const width of [1200, 900, 300]) {
    const html = renderToStaticMarkup(
      <FlatPicture
        url="x"
        alt="A face"
        measures={keptMeasures()}
        shape={{ shape: 'rectangle', lengthMm: 120, widthMm: 90 }}
        width={width}
        height={0.75 * width}
        marks
      />,
    )
    expect(html).toContain('viewBox="0 0 120 90"')
    expect(html).toContain('cx="10" cy="20"')
  }
})
