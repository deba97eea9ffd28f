<?php

declare(strict_types=1);

// hostile-gate.php PORT MODE LOG: answers the first questions as a gate does, with power; from then on it misbehaves. Writes down when
// each question came that it answered in full, in nanoseconds of hrtime.

[, $port, $mode, $log] = $argv;
$server = stream_socket_server("tcp://127.0.0.1:$port", $_, $said) ?: exit(2);
$open = [];
$good = 2;
while (true) {
    $client = @stream_socket_accept($server, 20);
    if ($client === false) {
        exit(0);
    }
    $came = hrtime(true);
    $request = '';
    while (! str_contains($request, "\r\n\r\n") && ! feof($client)) {
        $request .= (string) fread($client, 4096);
    }
    preg_match('/nonce=([\w-]+)/', $request, $found);
    $body = (string) json_encode(['nonce' => $found[1] ?? '', 'interlock' => 'on', 'answered_at' => gmdate('Y-m-d\TH:i:s\Z')]);
    $head = "HTTP/1.1 200 OK\r\nContent-Type: application/json\r\nConnection: close\r\nContent-Length: ".strlen($body)."\r\n\r\n";
    $drip = static function (string $text) use ($client): void {
        foreach (str_split($text) as $byte) {
            if (@fwrite($client, $byte) === false) {
                return;
            }
            usleep(120_000);
        }
    };
    if ($good-- > 0) {
        fwrite($client, $head.$body);
        file_put_contents($log, "$came\n", FILE_APPEND);
        fclose($client);

        continue;
    }
    match ($mode) {
        'drips' => [fwrite($client, $head), $drip($body)],
        'drips its head' => $drip($head.$body),
        'stalls' => $open[] = $client,
        'stalls within' => [fwrite($client, $head.substr($body, 0, 20)), $open[] = $client],
        'goes on saying 100' => [fwrite($client, str_repeat("HTTP/1.1 100 Continue\r\n\r\n", 3)), $drip(str_repeat(
            "HTTP/1.1 100 Continue\r\n\r\n", 4)), fwrite($client, $head.$body)],
        'closes' => null,
        'lies' => fwrite($client, str_replace((string) ($found[1] ?? '-'), 'another', $head.$body)),
        'answers an error' => fwrite($client, str_replace('200 OK', '500 Broken', $head).$body),
    };
    in_array($mode, ['stalls', 'stalls within'], true) || fclose($client);
}
