<?php

declare(strict_types=1);

require_once __DIR__.'/../../stand-ins/caliper/Gauge.php';

use MillStep\StandIns\Caliper\Gauge;

it('reads as a gauge does: in its steps, about the size, off by its zero, the same for a seed', function (): void {
    $gauge = new Gauge(0.01, 0.02, 0.005, 7);
    $readings = array_map(static fn (): float => $gauge->read(9.1), range(1, 400));
    $mean = array_sum($readings) / count($readings);
    $spread = sqrt(array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $readings)) / (count($readings) - 1));
    expect($mean)->toEqualWithDelta(9.12, 0.002)->and($spread)->toBeGreaterThan(0.003)->toBeLessThan(0.009);
    foreach ($readings as $reading) {
        expect(abs($reading * 100 - round($reading * 100)))->toBeLessThan(1e-6);
    }
    expect((new Gauge(0.01, 0, 0.01, 3))->read(5))->toBe((new Gauge(0.01, 0, 0.01, 3))->read(5))
        ->and((new Gauge(0.05, 0, 0, 1))->shown(9.13))->toBe('9.15')
        ->and((new Gauge(0.01, 0, 0, 1))->shown(0))->toBe('0.00');
});

it('types each reading with an Enter, as one of the keyboard kind', function (): void {
    $said = shell_exec('printf "9.1\nnothing\n25,4\n" | php stand-ins/caliper/caliper.php --wedge --noise 0 2>/dev/null');
    expect($said)->toBe("9.10\n25.40\n");
});

it('answers a program like a serial gauge, and a browser over a WebSocket', function (): void {
    $probe = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($probe, false), ':'), 1);
    fclose($probe);
    $process = proc_open(
        ['php', 'stand-ins/caliper/caliper.php', '--noise', '0', '--port', (string) $port],
        [0 => ['pipe', 'r'], 1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
        $pipes,
    );
    try {
        expect(fgets($pipes[2]))->toContain((string) $port);
        $serial = stream_socket_client("tcp://127.0.0.1:$port", timeout: 10);
        stream_set_timeout($serial, 10);
        fwrite($serial, "?\n");
        expect(fgets($serial))->toBe("NONE\r\n");
        $browser = stream_socket_client("tcp://127.0.0.1:$port", timeout: 10);
        stream_set_timeout($browser, 10);
        fwrite($browser, "GET / HTTP/1.1\r\nHost: x\r\nUpgrade: websocket\r\nSec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==\r\n\r\n");
        // The key and its answer are the example of RFC 6455.
        $head = '';
        while (! str_ends_with($head, "\r\n\r\n")) {
            $head .= fgets($browser);
        }
        expect($head)->toContain('101')->toContain('s3pPLMBiTxaQ9kYGzzhZRbK+xOo=');
        fwrite($pipes[0], "9.12\n");
        expect(fread($browser, 6))->toBe("\x81\x049.12");
        fwrite($serial, "?\nHELLO\n");
        expect(fgets($serial))->toBe("+9.1200 mm\r\n")->and(fgets($serial))->toBe("ERR\r\n");
    } finally {
        fclose($pipes[0]);
        proc_terminate($process);
        proc_close($process);
    }
});

it('refuses settings that no gauge has', function (): void {
    exec('php stand-ins/caliper/caliper.php --wedge --resolution 0 2>&1 </dev/null', $said, $code);
    expect($code)->toBe(2)->and(implode('', $said))->toContain('--resolution');
});
