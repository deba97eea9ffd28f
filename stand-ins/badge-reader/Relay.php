<?php

declare(strict_types=1);

namespace MillStep\StandIns;

/**
 * The relay, in a process of its own (relay.php). It is told until when it may be on, and goes off then by itself: whatever the
 * reader waits for meanwhile, and also when the reader is gone.
 */
final class Relay
{
    /** @var resource */
    private $process;

    /** @var resource */
    private $pipe;

    /** @param  resource|null  $moves  where the relay writes its moves; this program's own output where null */
    public function __construct($moves = null)
    {
        $process = proc_open([PHP_BINARY, __DIR__.'/relay.php'], [0 => ['pipe', 'r'], 1 => $moves ?? STDOUT, 2 => STDERR], $pipes);
        if ($process === false) {
            throw new \RuntimeException('The relay could not be started; without it the machine stays off.');
        }
        [$this->process, $this->pipe] = [$process, $pipes[0]];
    }

    /** @param  int  $deadline  nanoseconds of hrtime; 0: off now */
    public function until(int $deadline): void
    {
        fwrite($this->pipe, "$deadline\n");
        fflush($this->pipe);
    }

    /** Off, and the end of it. */
    public function close(): void
    {
        is_resource($this->pipe) && fclose($this->pipe);
        is_resource($this->process) && proc_close($this->process);
    }
}
