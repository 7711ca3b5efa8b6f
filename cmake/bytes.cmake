# Turns a file into the bytes of an array: cmake -DIN=… -DOUT=… -DNAME=… -P bytes.cmake
file(READ ${IN} HEX HEX)
string(REGEX REPLACE "([0-9a-f][0-9a-f])" "0x\\1," BYTES "${HEX}")
file(WRITE ${OUT} "constexpr unsigned char ${NAME}[] = {${BYTES}};\nconstexpr unsigned long ${NAME}_size = sizeof(${NAME});\n")
