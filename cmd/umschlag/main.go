// Command umschlag plans pieced and quilted cover fronts and layered shells.
package main

import (
	"context"
	"errors"
	"fmt"
	"os"
	"os/signal"
	"runtime/debug"
	"syscall"

	"github.com/spf13/cobra"
)

// codeError ends the program with a code of its own.
type codeError struct {
	code int
	err  error
}

func (e *codeError) Error() string { return e.err.Error() }

// seldom is how much the heap grows, in percent of what is in use, before it is collected. What is worked out for an
// answer is thrown away with it: so seldom a reckoning takes a quarter less work, and the program some 90 MB instead
// of 50.
const seldom = 400

func main() {
	if os.Getenv("GOGC") == "" {
		debug.SetGCPercent(seldom)
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	code := run(ctx)
	stop()
	os.Exit(code)
}

func run(ctx context.Context) int {
	err := root().ExecuteContext(ctx)
	var coded *codeError
	switch {
	case err == nil:
		return 0
	case errors.As(err, &coded):
		if coded.err != nil {
			fmt.Fprintln(os.Stderr, coded.err)
		}
		return coded.code
	default:
		fmt.Fprintln(os.Stderr, "umschlag:", err)
		return 1
	}
}

func root() *cobra.Command {
	cmd := &cobra.Command{Use: "umschlag", Short: "Plan covers: measure, cut, sew, log", SilenceUsage: true,
		SilenceErrors:     true,
		CompletionOptions: cobra.CompletionOptions{DisableDefaultCmd: true}}
	cmd.AddCommand(serveCommand(), demoCommand(), reckonCommand(), backupCommand(), restoreCommand())
	return cmd
}
