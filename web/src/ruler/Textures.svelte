<script lang="ts">
  /** Colour and texture of the shelves, once for each page. */
</script>

<svg width="0" height="0" class="visually-hidden" aria-hidden="true">
  <defs>
    <pattern id="t-growing" width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill="#4c9a4f" />
    </pattern>
    <pattern id="t-standing" width="6" height="6" patternUnits="userSpaceOnUse">
      <rect width="6" height="6" fill="#e3be4f" />
      <path d="M3 0V6" stroke="#a98212" stroke-width="1.2" />
    </pattern>
    <pattern id="t-put-by" width="6" height="6" patternUnits="userSpaceOnUse">
      <rect width="6" height="6" fill="#b96f43" />
      <circle cx="1.5" cy="1.5" r="0.9" fill="#7a3f1c" />
      <circle cx="4.5" cy="4.5" r="0.9" fill="#7a3f1c" />
    </pattern>
    <pattern id="t-bought" width="7" height="7" patternUnits="userSpaceOnUse">
      <rect width="7" height="7" fill="#8577b5" />
      <path d="M-1 8L8 -1M-1 1L1 -1M6 8L8 6" stroke="#574a87" stroke-width="1.4" />
    </pattern>
    <pattern id="t-bare" width="9" height="9" patternUnits="userSpaceOnUse">
      <rect width="9" height="9" fill="#ffffff" />
      <path d="M0 0L9 9M9 0L0 9" stroke="#d6401f" stroke-width="1" opacity="0.7" />
    </pattern>
    <pattern id="t-beyond" width="7" height="7" patternUnits="userSpaceOnUse">
      <rect width="7" height="7" fill="#f1f8f1" />
      <path d="M0 7L7 0" stroke="#4c9a4f" stroke-width="0.7" />
    </pattern>
    <pattern id="t-held" width="6" height="6" patternUnits="userSpaceOnUse">
      <rect width="6" height="6" fill="#ffffff" />
      <path d="M0 6L6 0" stroke="#d6401f" stroke-width="0.7" />
    </pattern>
  </defs>
</svg>
