package printpack_test

import (
	"bytes"
	"strings"
	"testing"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/format/printpack"
)

func TestLabelsAreAPageEach(t *testing.T) {
	r := answer.Reckoning{Cuts: []answer.Cut{{Title: "Front", Cloth: "A", Total: 2},
		{Title: strings.Repeat("A very long name ", 20), Cloth: "A", Total: 1}, {Title: "In units left", Cloth: "A"}},
		Cloths: []answer.ClothNeed{{Cloth: "A", Name: "moss leaf"}}}
	data, err := printpack.Labels("Cushion", r)
	require.NoError(t, err)
	assert.Equal(t, 2, bytes.Count(data, []byte("/Type /Page\n")))
	again, err := printpack.Labels("Cushion", r)
	require.NoError(t, err)
	assert.Equal(t, data, again, "the same plan, the same labels")
	_, err = printpack.Labels("Cushion", answer.Reckoning{})
	require.ErrorContains(t, err, "cannot be cut as it stands")
}
