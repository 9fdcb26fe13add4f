package cell_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/format/cell"
)

func TestNothingBeginsAFormula(t *testing.T) {
	for text, safe := range map[string]string{"=1+1": "'=1+1", "+1": "'+1", "-1": "'-1", "@SUM(A1)": "'@SUM(A1)",
		"\t=1": "'\t=1", "'=1": "''=1", "moss": "moss", "'tis": "'tis", "": "", "a=b": "a=b"} {
		assert.Equal(t, safe, cell.Safe(text))
		assert.Equal(t, text, cell.Plain(safe))
	}
	assert.Equal(t, "=1", cell.Plain("=1"), "what was typed so stays so")
	rapid.Check(t, func(t *rapid.T) {
		text := rapid.StringMatching(`['=+\-@\t\r\na1é]{0,6}`).Draw(t, "text")
		safe := cell.Safe(text)
		assert.Equal(t, text, cell.Plain(safe))
		if safe != "" {
			assert.NotContains(t, "=+-@\t\r\n", safe[:1])
		}
	})
}
