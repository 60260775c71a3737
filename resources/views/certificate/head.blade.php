@if ($c['withdrawn_at'] !== null)
<p style="color:#9b2c1f"><b>This sign-off was withdrawn</b> on {{ $day($c['withdrawn_at']) }}. Ask the studio.</p>
@endif
<p style="font-size:8pt;color:#5d5a52">Order {{ $c['order']['number'] }}</p>
<h1 style="font-size:20pt;font-weight:normal">{{ $c['order']['title'] }}</h1>
<p>{{ count($c['models']) }} × {{ $c['figure'] }}, painted and checked to <b>{{ $c['tier'] }}</b>: {{ $c['intent'] }} Made to be seen from {{ $c['distance_cm'] }} cm.</p>
