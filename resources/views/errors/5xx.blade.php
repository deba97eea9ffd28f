<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>Mill Step</title></head>
<body>
    <h1>Mill Step is away for a moment</h1>
    <p>No machine is switched on meanwhile. Reload this page shortly; if it stays away, tell whoever looks after it. ({{ $exception->getStatusCode() }})</p>
</body>
</html>
